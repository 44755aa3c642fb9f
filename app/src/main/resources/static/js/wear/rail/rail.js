// The rail: cloths in the order in which the light goes through them. Drag a hem to set opacity,
// drag a cloth along the rail to move it, pick one to open it in place.
import { dropOf } from "./cloth.js";
import { shapes } from "./cloth-shapes.js";
import { listenHem } from "./hem.js";
import { railItem } from "./rail-item.js";

const FOOT = 24;
const SLIM = 84; // up to here the name alone stands, smaller
const NARROW = 44;
const TINY = 30;
const CROWDED = 16; // items from which they hang closer
const SHORT = 82; // down to here the name stands where the figure would
const DRAG_FROM = 7;
const HOLD = 43; // width of the cloth that stays in sight beside an open veil

/**
 * An item is { id, name, what, kind, opacity, lifted, woven, layers, selected }: what stands under
 * the name, layers how many cloths are seen behind one another.
 */
export class Rail {
  #items = [];
  #elements = new Map();
  #open = null;
  #dragging = null;

  /** @param on { pick(id), hem(id, opacity, rests), move?(id, index), select?(id, range) } */
  constructor(root, on) {
    this.root = root;
    this.on = on;
    new ResizeObserver(() => this.#drawAll()).observe(root);
  }

  /** Shows items; panel is the element that an open item shows beside its cloth. */
  show(items, openId = null, panel = null) {
    this.#items = items;
    this.#open = openId;
    this.root.classList.toggle("is-crowded", items.length > CROWDED);
    const rest = [...this.root.children].filter((e) => !e.classList.contains("veil"));
    const wanted = items.map((item, i) => this.#element(item, i, panel));
    for (const [id, element] of this.#elements) {
      if (!items.some((item) => item.id === id)) {
        element.remove();
        this.#elements.delete(id);
      }
    }
    const order = [...wanted, ...rest];
    order.forEach((element, i) => {
      if (this.root.children[i] !== element) this.root.insertBefore(element, this.root.children[i] ?? null);
    });
    this.#drawAll();
  }

  focus(id) {
    this.#elements.get(id)?.querySelector(".pick").focus();
  }

  #own(element) {
    return [...element.children].find((e) => e.classList.contains("open"));
  }

  #element(item, index, panel) {
    const element = this.#elements.get(item.id) ?? this.#make(item.id);
    element.dataset.kind = item.kind;
    element.classList.toggle("is-woven", item.woven);
    element.classList.toggle("is-lifted", item.lifted);
    element.classList.toggle("is-selected", Boolean(item.selected));
    const open = item.id === this.#open;
    element.classList.toggle("is-open", open);
    const pick = element.querySelector(".pick");
    pick.setAttribute("aria-expanded", String(open));
    pick.setAttribute("aria-label", `${index + 1} ${item.name}, ${item.what}`);
    pick.querySelector(".name").textContent = `${index + 1}\u2009·\u2009${item.name}`;
    pick.querySelector(".what").textContent = item.what;
    pick.title = `${item.name}, ${item.what}`;
    const hem = element.querySelector(".hem");
    hem.setAttribute("aria-label", `Opacity of ${item.name}`);
    const old = this.#own(element);
    if (open && panel && old !== panel) {
      old?.remove();
      element.append(panel);
    } else if (!open || !panel) old?.remove();
    return element;
  }

  #make(id) {
    const { element, pick, hem } = railItem(id);
    pick.addEventListener("click", (event) => {
      if (this.#dragging?.moved) return;
      if (this.on.select && (event.ctrlKey || event.metaKey || event.shiftKey)) this.on.select(id, event.shiftKey);
      else this.on.pick(id);
    });
    pick.addEventListener("keydown", (event) => this.#pickKey(event, id));
    listenHem(hem, {
      opacity: () => this.#item(id).opacity,
      full: () => this.#full,
      let: (opacity, rests) => this.#let(id, opacity, rests),
      pressed: () => this.on.pick(id), // on a short cloth the hem takes much of it
    });
    if (this.on.move) this.#listenMove(pick, element, id);
    this.#elements.set(id, element);
    return element;
  }

  #item(id) {
    return this.#items.find((item) => item.id === id);
  }

  get #full() {
    return Math.max(40, this.root.clientHeight - FOOT);
  }

  #let(id, opacity, rests) {
    this.#item(id).opacity = opacity;
    this.#draw(this.#item(id));
    this.on.hem(id, opacity, rests);
  }

  #pickKey(event, id) {
    if (event.key === " " && event.ctrlKey && this.on.select) {
      event.preventDefault();
      this.on.select(id, false);
      return;
    }
    const index = this.#items.findIndex((item) => item.id === id);
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (!step) return;
    event.preventDefault();
    if (event.shiftKey && this.on.move) {
      this.on.move(id, Math.min(this.#items.length - 1, Math.max(0, index + step)));
      this.focus(id);
    } else this.focus(this.#items[index + step]?.id);
  }

  #listenMove(pick, element, id) {
    pick.addEventListener("pointerdown", (event) => {
      if (event.button !== 0) return;
      this.#dragging = { x: event.clientX, moved: false, index: -1 };
      pick.setPointerCapture(event.pointerId);
    });
    pick.addEventListener("pointermove", (event) => {
      const d = this.#dragging;
      if (!d || !pick.hasPointerCapture(event.pointerId)) return;
      if (!d.moved && Math.abs(event.clientX - d.x) < DRAG_FROM) return;
      d.moved = true;
      element.classList.add("is-dragged");
      d.index = this.#indexAt(event.clientX, id);
      this.#markBefore(d.index, id);
    });
    pick.addEventListener("pointerup", () => {
      const d = this.#dragging;
      element.classList.remove("is-dragged");
      this.#markBefore(-1, id);
      if (d?.moved && d.index >= 0) this.on.move(id, d.index);
      setTimeout(() => (this.#dragging = null));
    });
  }

  /** Place among the other items that a pointer position stands for. */
  #indexAt(x, id) {
    const others = this.#items.filter((item) => item.id !== id);
    const index = others.findIndex((item) => {
      const box = this.#elements.get(item.id).getBoundingClientRect();
      return x < box.left + box.width / 2;
    });
    return index < 0 ? others.length : index;
  }

  #markBefore(index, id) {
    const others = this.#items.filter((item) => item.id !== id);
    others.forEach((item, i) => this.#elements.get(item.id).classList.toggle("is-before", i === index));
  }

  /** Measures all, then draws those that are not drawn so: one layout of the page, not one a cloth. */
  #drawAll() {
    const full = this.#full;
    const widths = this.#items.map((item) => this.#width(item));
    this.#items.forEach((item, i) => this.#draw(item, widths[i], full));
  }

  #width(item) {
    const element = this.#elements.get(item.id);
    return item.id === this.#open && this.#own(element) ? HOLD : element.clientWidth;
  }

  #draw(item, width = this.#width(item), full = this.#full) {
    const element = this.#elements.get(item.id);
    const looks = [item.opacity, item.lifted, item.layers, width, full].join(" ");
    if (width === 0 || element.dataset.looks === looks) return;
    element.dataset.looks = looks;
    const drop = dropOf(item.opacity, full);
    element.style.setProperty("--drop", String(drop));
    element.classList.toggle("is-slim", width < SLIM && width >= NARROW);
    element.classList.toggle("is-narrow", width < NARROW);
    element.classList.toggle("is-tiny", width < TINY);
    element.classList.toggle("is-short", drop < SHORT);
    element.style.setProperty("--full", String(full));
    for (const part of element.querySelectorAll(":scope > .pick, :scope > .hem")) part.style.width = `${width}px`;
    const svg = element.querySelector("svg");
    svg.setAttribute("width", width);
    svg.setAttribute("height", full + 8);
    svg.replaceChildren(...shapes(item, { width, drop, full, narrow: NARROW }));
    const hem = element.querySelector(".hem");
    const percent = Math.round(item.opacity * 100);
    hem.setAttribute("aria-valuenow", String(percent));
    hem.setAttribute("aria-valuetext", `${percent} %`);
    hem.querySelector(".share").textContent = width < SLIM ? percent : `${percent} %`;
  }
}

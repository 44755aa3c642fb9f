// Handles on the picture itself: a point, and from it a direction and a distance. They move the
// settings that a kind, or a rule of a mask, says they are. Dots that would lie on one another stand apart,
// each with a thread to its true place.
import { spread } from "./spread.js";

const NS = "http://www.w3.org/2000/svg";
const ARM = 0.16; // length of a handle that has a direction but no distance, in long sides
const STEP = 1; // per cent or degrees that an arrow key moves

function svg(name, attributes, parent) {
  const made = document.createElementNS(NS, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  parent?.append(made);
  return made;
}

const clamp = (v, { min, max, step }) => Math.min(max, Math.max(min, Math.round(v / step) * step));

export class Handles {
  #shown = [];
  #drag = null; // { dot, by: from the pointer to the dot's true place, px }
  #dots = []; // { element, thread, at: true place, px }

  constructor(stage) {
    this.stage = stage;
    this.svg = svg("svg", { class: "handles" });
    stage.pane.append(this.svg);
    stage.overlay(() => this.#draw());
  }

  /**
   * @param shown [{ handle, settings: descriptors, values, give(values, rests) }]; a handle that is held stays
   *   where it is, and only its direction and distance are moved
   */
  show(shown) {
    this.#shown = shown.filter(({ handle, settings, values }) => {
      const by = settings.find((s) => s.key === handle.shown);
      return !by || values[by.key] !== by.start;
    });
    const held = this.svg.contains(document.activeElement) && document.activeElement.getAttribute("aria-label");
    const shape = JSON.stringify(this.#shown.map((s) => s.handle));
    if (shape !== this.svg.dataset.shape) {
      this.svg.dataset.shape = shape;
      this.svg.replaceChildren();
      this.#dots = [];
      this.parts = this.#shown.map((one, index) => this.#make(one, index));
    }
    this.#draw();
    const again = held && this.#dots.find(({ element }) => element.getAttribute("aria-label") === held);
    if (again && document.activeElement !== again.element) again.element.focus({ preventScroll: true });
  }

  #make({ handle }, index) {
    const group = svg("g", {}, this.svg);
    const ring = svg("ellipse", { class: "reach" }, group);
    const arm = svg("line", { class: "arm" }, group);
    const dot = (label, move) => {
      const thread = svg("line", { class: "thread" }, group);
      const made = svg("circle", { class: "dot", r: 7, tabindex: 0, role: "button", "aria-label": label }, group);
      const own = { element: made, thread, at: { x: 0, y: 0 } };
      this.#dots.push(own);
      made.addEventListener("pointerdown", (event) => {
        event.stopPropagation();
        event.preventDefault();
        made.setPointerCapture(event.pointerId);
        made.focus({ preventScroll: true });
        const at = this.#pointer(event);
        this.#drag = { dot: own, by: { x: own.at.x - at.x, y: own.at.y - at.y } };
      });
      made.addEventListener("pointermove", (event) => {
        event.stopPropagation();
        if (this.#drag?.dot !== own) return;
        const at = this.#pointer(event);
        move(this.stage.shareAt(at.x + this.#drag.by.x, at.y + this.#drag.by.y), false);
      });
      for (const end of ["pointerup", "pointercancel"]) {
        made.addEventListener(end, () => {
          if (this.#drag?.dot !== own) return;
          this.#drag = null;
          this.#shown[index].give({}, true);
          this.#draw();
        });
      }
      return own;
    };
    const far =
      handle.angle || handle.length
        ? dot(`${handle.label}, direction and distance`, (p, r) => this.#far(index, p, r))
        : null;
    const near = handle.held ? null : dot(handle.label, (p, r) => this.#near(index, p, r));
    if (near) this.#listenKeys(near.element, index, [handle.x, handle.y]);
    if (far) this.#listenKeys(far.element, index, [handle.angle, handle.length]);
    const name = svg("text", { class: "name" }, group);
    name.textContent = handle.label;
    return { ring, arm, near, far, name };
  }

  #pointer(event) {
    const box = this.stage.pane.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  }

  /** Lets arrow keys change two settings: across, down; an empty key for none. */
  #listenKeys(dot, index, [across, down]) {
    dot.addEventListener("keydown", (event) => {
      const [dx, dy] = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key] ?? [];
      const key = dx ? across : down;
      if (dx === undefined || !key) return;
      event.preventDefault();
      event.stopPropagation();
      const { settings, values, give } = this.#shown[index];
      const by = (dx || dy) * STEP * (event.shiftKey ? 10 : 1);
      give(
        {
          [key]: clamp(
            values[key] + by,
            settings.find((s) => s.key === key),
          ),
        },
        true,
      );
    });
  }

  /** Width and height of the photo in shares of its long side. */
  get #sides() {
    const { width, height } = this.stage.source.photo();
    const long = Math.max(width, height);
    return { w: width / long, h: height / long };
  }

  #near(index, p, rests) {
    const { handle, settings, give } = this.#shown[index];
    const { w, h } = this.#sides;
    const of = (key) => settings.find((s) => s.key === key);
    give({ [handle.x]: clamp((p.x / w) * 100, of(handle.x)), [handle.y]: clamp((p.y / h) * 100, of(handle.y)) }, rests);
  }

  #far(index, p, rests) {
    const { handle, settings, give } = this.#shown[index];
    const from = this.#from(index);
    const of = (key) => settings.find((s) => s.key === key);
    const values = {};
    if (handle.angle)
      values[handle.angle] = clamp(
        turned(Math.atan2(p.y - from.y, p.x - from.x) - this.#ahead(index)),
        of(handle.angle),
      );
    if (handle.length)
      values[handle.length] = clamp(
        (Math.hypot(p.x - from.x, p.y - from.y) / this.#ruler(handle)) * 100,
        of(handle.length),
      );
    give(values, rests);
  }

  #from(index) {
    const { handle, values } = this.#shown[index];
    const { w, h } = this.#sides;
    return { x: (values[handle.x] / 100) * w, y: (values[handle.y] / 100) * h };
  }

  /** Where a direction of 0 points, radians. */
  #ahead(index) {
    if (this.#shown[index].handle.from !== "MIDDLE") return 0;
    const { w, h } = this.#sides;
    const from = this.#from(index);
    return Math.atan2(h / 2 - from.y, w / 2 - from.x);
  }

  #ruler(handle) {
    const { w, h } = this.#sides;
    return { HALF_DIAGONAL: Math.hypot(w, h) / 2, QUARTER: 0.25 }[handle.ruler] ?? 1;
  }

  #draw() {
    this.#shown.forEach(({ handle, values }, index) => {
      const part = this.parts[index];
      const from = this.#from(index);
      const near = this.stage.pointOf(from);
      put(part.name, { x: near.x + 14, y: near.y - 10 });
      if (part.near) part.near.at = near;
      if (!part.far) return;
      const length = handle.length ? (values[handle.length] / 100) * this.#ruler(handle) : ARM;
      const turn = this.#ahead(index) + (handle.angle ? (values[handle.angle] * Math.PI) / 180 : 0);
      const end = this.stage.pointOf({ x: from.x + Math.cos(turn) * length, y: from.y + Math.sin(turn) * length });
      part.far.at = end;
      put(part.arm, { x1: near.x, y1: near.y, x2: end.x, y2: end.y });
      const reach = handle.length && !handle.angle ? this.stage.pixels(length) : 0;
      put(part.ring, { cx: near.x, cy: near.y, rx: reach, ry: reach });
    });
    this.#place();
  }

  /** Dots stand apart; the one under the hand where it is. */
  #place() {
    const held = this.#drag?.dot;
    const order = held ? [held, ...this.#dots.filter((dot) => dot !== held)] : this.#dots;
    spread(order.map(({ at }) => at)).forEach(({ x, y }, i) => {
      const { element, thread, at } = order[i];
      put(element, { cx: x, cy: y });
      put(thread, { x1: at.x, y1: at.y, x2: x, y2: y });
    });
  }
}

/** Degrees from −180 to 180. */
const turned = (radians) => (((((radians * 180) / Math.PI + 180) % 360) + 360) % 360) - 180;

function put(element, attributes) {
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value.toFixed(1));
}

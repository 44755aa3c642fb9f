// Drags picked effects along a rail, to another section or another kit, and sections among each other;
// begun on empty ground it draws a box that picks. Boxes are measured once, when a drag begins.
import { ghostOf } from "./drag-ghost.js";
import { gapAt, touched } from "./rack-state.js";

const FAR = 5; // pixels before a press is a drag
const EDGE = 46; // pixels from the border where the rack scrolls by itself

export class Dragging {
  /**
   * @param scroll the box that scrolls ; @param rails Rails
   * @param on { begin(id): ids that are dragged, drop(ids, section, before), away(ids, section),
   *   box(ids, add), section(id, before), sections(): ids in order }
   */
  constructor(page, scroll, rails, on) {
    Object.assign(this, { page, scroll, rails, on, drag: null });
    scroll.addEventListener("pointerdown", (event) => this.#down(event));
    addEventListener("pointermove", (event) => this.#move(event));
    addEventListener("pointerup", (event) => this.#up(event));
    addEventListener("keydown", (event) => event.key === "Escape" && this.drag?.begun && this.#end());
    addEventListener("blur", () => this.#end());
    scroll.addEventListener(
      "click",
      (event) => this.justDragged && (event.stopPropagation(), event.preventDefault()),
      true,
    );
  }

  #down(event) {
    this.justDragged = false;
    if (event.button !== 0 || event.target.closest("button, a, input")) return;
    const piece = event.target.closest("[data-effect]");
    const head = event.target.closest(".rail-section > header h2");
    const sort = piece ? "pieces" : head ? "section" : "box";
    const id = Number(piece?.dataset.effect ?? head?.closest("[data-section]").dataset.section ?? 0);
    this.drag = { sort, id, x: event.clientX, y: event.clientY, add: event.ctrlKey || event.metaKey || event.shiftKey };
  }

  #move(event) {
    const { drag } = this;
    if (!drag) return;
    Object.assign(drag, { atX: event.clientX, atY: event.clientY });
    if (!drag.begun) {
      if (Math.hypot(drag.atX - drag.x, drag.atY - drag.y) < FAR) return;
      this.#begin();
    }
    event.preventDefault();
    this.frame ??= requestAnimationFrame(() => this.#draw());
  }

  #begin() {
    const { drag } = this;
    drag.begun = true;
    drag.top = this.scroll.scrollTop;
    document.body.classList.add("is-dragging");
    getSelection()?.removeAllRanges();
    this.mark = Object.assign(document.createElement("div"), {
      className: drag.sort === "box" ? "drawn-box" : "drop-mark",
    });
    document.body.append(this.mark);
    if (drag.sort === "pieces") {
      drag.ids = this.on.begin(drag.id);
      this.ghost = ghostOf([...drag.ids].map((id) => this.rails.pieces.get(id)?.querySelector("img")));
      document.body.append(this.ghost);
      this.page.classList.add("is-carrying");
    }
    this.#measure();
  }

  /** Boxes in the coordinates of the window as it is scrolled at the beginning. */
  #measure() {
    const { drag } = this;
    if (drag.sort === "box") {
      drag.boxes = this.rails.all();
      return;
    }
    const of = (e) => e.getBoundingClientRect();
    drag.rails = [...this.scroll.querySelectorAll("[data-section]")].map((s) => ({
      id: Number(s.dataset.section),
      box: of(s),
      rail: of(s.querySelector("[data-rail]")),
      pieces: drag.sort === "pieces" ? this.rails.boxes(s.dataset.section, drag.ids) : [],
    }));
    drag.frame = of(this.scroll);
  }

  #draw() {
    this.frame = null;
    const { drag } = this;
    if (!drag?.begun) return;
    this.#scrollAtEdges();
    const by = this.scroll.scrollTop - drag.top; // how far what was measured has moved up
    if (drag.sort === "box") return this.#drawBox(by);
    if (this.ghost) this.ghost.style.transform = `translate(${drag.atX + 10}px, ${drag.atY + 12}px)`;
    const over = document.elementFromPoint(drag.atX, drag.atY);
    const aside = over?.closest(".rack-side");
    this.#over(aside && over.closest("[data-drop-section]"), aside && over.closest(".side-kit"));
    if (aside) {
      drag.to = null;
      this.mark.style.display = "none";
      return;
    }
    if (drag.sort === "section") this.#aimSection(by);
    else this.#aimPiece(by);
  }

  #scrollAtEdges() {
    const { drag } = this;
    const { top, bottom } = this.scroll.getBoundingClientRect();
    const by = drag.atY < top + EDGE ? drag.atY - top - EDGE : drag.atY > bottom - EDGE ? drag.atY - bottom + EDGE : 0;
    if (by === 0) return;
    this.scroll.scrollTop += by / 4;
    this.frame ??= requestAnimationFrame(() => this.#draw());
  }

  #over(target, kit) {
    const { drag } = this;
    drag.aside = target ? Number(target.dataset.dropSection) : 0;
    if (drag.lit !== target) {
      drag.lit?.classList.remove("is-over");
      target?.classList.add("is-over");
      drag.lit = target;
    }
    if (kit && drag.kit !== kit) {
      drag.kit?.classList.remove("is-open");
      kit.classList.add("is-open");
      drag.kit = kit;
    }
  }

  #aimPiece(by) {
    const { drag } = this;
    const y = drag.atY + by;
    const far = ({ box }) => (y < box.top ? box.top - y : y > box.bottom ? y - box.bottom : 0);
    const rail = drag.rails.toSorted((a, b) => far(a) - far(b))[0];
    if (!rail) return;
    const gap = gapAt(rail.pieces, drag.atX, y);
    drag.to = { section: rail.id, before: gap.before };
    const left = gap.at ? (gap.after ? gap.at.right + 3 : gap.at.left - 7) : rail.rail.left;
    const [top, height] = gap.at ? [gap.at.top, gap.at.bottom - gap.at.top] : [rail.rail.top || rail.box.top, 40];
    Object.assign(this.mark.style, {
      display: "",
      width: "4px",
      height: `${height}px`,
      transform: `translate(${left}px, ${top - by}px)`,
    });
  }

  #aimSection(by) {
    const { drag } = this;
    const y = drag.atY + by;
    const next = drag.rails.find((r) => r.id !== drag.id && y < (r.box.top + r.box.bottom) / 2);
    drag.to = { before: next?.id ?? null };
    const last = drag.rails.at(-1).box;
    const top = next ? next.box.top - 8 : last.bottom + 2;
    Object.assign(this.mark.style, {
      display: "",
      width: `${last.right - last.left}px`,
      height: "4px",
      transform: `translate(${last.left}px, ${top - by}px)`,
    });
  }

  #drawBox(by) {
    const { drag } = this;
    const box = {
      left: Math.min(drag.x, drag.atX),
      right: Math.max(drag.x, drag.atX),
      top: Math.min(drag.y, drag.atY + by),
      bottom: Math.max(drag.y, drag.atY + by),
    };
    Object.assign(this.mark.style, {
      width: `${box.right - box.left}px`,
      height: `${box.bottom - box.top}px`,
      transform: `translate(${box.left}px, ${box.top - by}px)`,
    });
    this.on.box(touched(drag.boxes, box), drag.add);
  }

  #up(event) {
    const { drag } = this;
    if (!drag) return;
    if (drag.begun) {
      Object.assign(drag, { atX: event.clientX, atY: event.clientY });
      if (this.frame) cancelAnimationFrame(this.frame);
      this.#draw();
      this.justDragged = true;
      setTimeout(() => (this.justDragged = false));
    }
    const done = drag.begun && this.#letGo(drag);
    this.#end();
    done?.();
  }

  #letGo(drag) {
    if (drag.sort === "pieces" && drag.aside) return () => this.on.away(drag.ids, drag.aside);
    if (drag.sort === "pieces" && drag.to) return () => this.on.drop(drag.ids, drag.to.section, drag.to.before);
    if (drag.sort === "section" && drag.to) return () => this.on.section(drag.id, drag.to.before);
    return null;
  }

  #end() {
    const { drag } = this;
    if (this.frame) cancelAnimationFrame(this.frame);
    this.frame = null;
    this.drag = null;
    if (!drag?.begun) return;
    drag.lit?.classList.remove("is-over");
    drag.kit?.classList.remove("is-open");
    this.mark?.remove();
    this.ghost?.remove();
    this.ghost = null;
    this.page.classList.remove("is-carrying");
    document.body.classList.remove("is-dragging");
  }
}

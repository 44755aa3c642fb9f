// Handles on the picture itself: a point, and from it a direction and a distance. They move the
// settings that a kind, or a rule of a mask, says they are.

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
  #drag = null;

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
    const shape = JSON.stringify(this.#shown.map((s) => s.handle));
    if (shape !== this.svg.dataset.shape) {
      this.svg.dataset.shape = shape;
      this.svg.replaceChildren();
      this.parts = this.#shown.map((one, index) => this.#make(one, index));
    }
    this.#draw();
  }

  #make({ handle }, index) {
    const group = svg("g", {}, this.svg);
    const ring = svg("ellipse", { class: "reach" }, group);
    const arm = svg("line", { class: "arm" }, group);
    const dot = (label, move) => {
      const made = svg("circle", { class: "dot", r: 7, tabindex: 0, role: "button", "aria-label": label }, group);
      made.addEventListener("pointerdown", (event) => {
        event.stopPropagation();
        event.preventDefault();
        made.setPointerCapture(event.pointerId);
        made.focus({ preventScroll: true });
        this.#drag = { index, move };
      });
      made.addEventListener("pointermove", (event) => {
        event.stopPropagation();
        if (this.#drag?.move !== move) return;
        const box = this.stage.pane.getBoundingClientRect();
        move(this.stage.shareAt(event.clientX - box.left, event.clientY - box.top), false);
      });
      for (const end of ["pointerup", "pointercancel"]) {
        made.addEventListener(end, () => {
          if (this.#drag?.move !== move) return;
          this.#drag = null;
          this.#shown[index].give({}, true);
        });
      }
      return made;
    };
    const far = handle.angle || handle.length ? dot(`${handle.label}, direction and distance`, (p, r) => this.#far(index, p, r)) : null;
    const near = handle.held ? null : dot(handle.label, (p, r) => this.#near(index, p, r));
    if (near) this.#listenKeys(near, index, [handle.x, handle.y]);
    if (far) this.#listenKeys(far, index, [handle.angle, handle.length]);
    const name = svg("title", {}, group);
    name.textContent = handle.label;
    return { ring, arm, near, far };
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
      give({ [key]: clamp(values[key] + by, settings.find((s) => s.key === key)) }, true);
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
    if (handle.angle) values[handle.angle] = clamp((Math.atan2(p.y - from.y, p.x - from.x) * 180) / Math.PI, of(handle.angle));
    if (handle.length) values[handle.length] = clamp((Math.hypot(p.x - from.x, p.y - from.y) / this.#ruler(handle)) * 100, of(handle.length));
    give(values, rests);
  }

  #from(index) {
    const { handle, values } = this.#shown[index];
    const { w, h } = this.#sides;
    return { x: (values[handle.x] / 100) * w, y: (values[handle.y] / 100) * h };
  }

  #ruler(handle) {
    const { w, h } = this.#sides;
    return handle.ruler === "HALF_DIAGONAL" ? Math.hypot(w, h) / 2 : 1;
  }

  #draw() {
    this.#shown.forEach(({ handle, values }, index) => {
      const part = this.parts[index];
      const from = this.#from(index);
      const near = this.stage.pointOf(from);
      if (part.near) put(part.near, { cx: near.x, cy: near.y });
      if (!part.far) return;
      const length = handle.length ? (values[handle.length] / 100) * this.#ruler(handle) : ARM;
      const turn = handle.angle ? (values[handle.angle] * Math.PI) / 180 : 0;
      const end = this.stage.pointOf({ x: from.x + Math.cos(turn) * length, y: from.y + Math.sin(turn) * length });
      put(part.far, { cx: end.x, cy: end.y });
      put(part.arm, { x1: near.x, y1: near.y, x2: end.x, y2: end.y });
      const reach = handle.length && !handle.angle ? this.stage.pixels(length) : 0;
      put(part.ring, { cx: near.x, cy: near.y, rx: reach, ry: reach });
    });
  }
}

function put(element, attributes) {
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value.toFixed(1));
}

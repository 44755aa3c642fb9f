// The tone-curve editor: press to add a point and drag it at once, or Insert to add one behind the
// chosen one; drag, arrow keys or typed codes to move one; double-click or Delete to remove one.
import { added, between, moved, removed } from "./curve-points.js";
import { monotone } from "./monotone.js";

const NS = "http://www.w3.org/2000/svg";
const W = 250;
const H = 200;
const STEPS = 100;
const MOVES = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
  PageUp: [0, 10],
  PageDown: [0, -10],
};

function svg(name, attributes, parent) {
  const made = document.createElementNS(NS, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  parent?.append(made);
  return made;
}

const path = (at) =>
  Array.from({ length: STEPS + 1 }, (_, i) => {
    const u = i / STEPS;
    return `${i ? "L" : "M"}${(u * W).toFixed(2)} ${((1 - at(u)) * H).toFixed(2)}`;
  }).join("");

/**
 * @param settings the curve descriptors, one a channel
 * @param values points by key
 * @param on { input(key, points), change(key, points) }
 * @returns { element, set(values), tones(histogram) }
 */
export function curveEditor(settings, values, on) {
  const all = { ...values };
  let active = settings[0];
  let chosen = 0;
  let dragging = null;
  const element = document.createElement("div");
  element.className = "curve-editor";
  const channels = document.createElement("div");
  channels.className = "channels";
  channels.setAttribute("role", "group");
  channels.setAttribute("aria-label", "Channel");
  const buttons = settings.map((setting) => {
    const button = document.createElement("button");
    button.type = "button";
    button.textContent = setting.label;
    button.className = `is-${setting.key}`;
    button.addEventListener("click", () => {
      active = setting;
      chosen = 0;
      draw();
    });
    channels.append(button);
    return button;
  });
  const codes = ["in", "out"].map((name, axis) => {
    const input = Object.assign(document.createElement("input"), { type: "number", min: 0, max: 255, step: 1 });
    input.setAttribute("aria-label", `Chosen point: ${name}`);
    input.addEventListener("change", () => {
      if (input.value === "") return draw();
      const at = [...points()[chosen]];
      at[axis] = Number(input.value) / 255;
      give(moved(points(), chosen, at, active.minGap), true);
    });
    input.addEventListener("keydown", (event) => event.key === "Enter" && input.blur());
    return input;
  });
  const reading = document.createElement("small");
  reading.append("in ", codes[0], " out ", codes[1]);
  channels.append(reading);
  const read = ([x, y]) => [x, y].forEach((v, i) => (codes[i].value = Math.round(v * 255)));
  const picture = svg("svg", { viewBox: `0 0 ${W} ${H}`, preserveAspectRatio: "none" });
  picture.setAttribute("aria-label", "Tone curve");
  const tones = svg("path", { class: "tones" }, picture);
  for (const q of [0.25, 0.5, 0.75]) {
    svg("path", { class: "grid", d: `M${q * W} 0V${H}M0 ${q * H}H${W}` }, picture);
  }
  svg("path", { class: "level", d: `M0 ${H}L${W} 0` }, picture);
  const lines = settings.map((s) => svg("path", { class: `line is-${s.key}` }, picture));
  const dots = svg("g", {}, picture);
  element.append(channels, picture);

  const points = () => all[active.key];

  function draw() {
    const focused = dots.contains(document.activeElement);
    settings.forEach((setting, i) => {
      lines[i].setAttribute("d", path(monotone(all[setting.key])));
      lines[i].classList.toggle("is-other", setting !== active);
      buttons[i].setAttribute("aria-pressed", String(setting === active));
    });
    picture.append(lines[settings.indexOf(active)], dots);
    dots.replaceChildren(...points().map(dot));
    if (focused) dots.children[chosen]?.focus();
    read(points()[chosen] ?? points()[0]);
  }

  function dot([x, y], index) {
    const made = svg("circle", { class: "point", cx: x * W, cy: (1 - y) * H, r: 5, tabindex: 0 });
    made.setAttribute("role", "button");
    made.setAttribute("aria-label", `Point ${index + 1}: in ${Math.round(x * 255)}, out ${Math.round(y * 255)}`);
    made.addEventListener("focus", () => {
      chosen = index;
      read([x, y]);
    });
    return made;
  }

  function give(next, rests) {
    all[active.key] = next;
    draw();
    on.input(active.key, next);
    if (rests) on.change(active.key, next);
  }

  function place(event) {
    const box = picture.getBoundingClientRect();
    return [(event.clientX - box.left) / box.width, 1 - (event.clientY - box.top) / box.height];
  }

  function nearest([x, y]) {
    const box = picture.getBoundingClientRect();
    const far = (p) => Math.hypot((p[0] - x) * box.width, (p[1] - y) * box.height);
    const index = points().reduce((best, p, i, all) => (far(p) < far(all[best]) ? i : best), 0);
    return far(points()[index]) <= 11 ? index : -1;
  }

  picture.addEventListener("pointerdown", (event) => {
    const at = place(event);
    chosen = nearest(at);
    if (chosen < 0) {
      const more = added(points(), at, active);
      chosen = more ? more.index : 0;
      if (!more) return;
      give(more.points, false);
    }
    dragging = chosen;
    picture.setPointerCapture(event.pointerId);
    dots.children[chosen]?.focus({ preventScroll: true });
    event.preventDefault();
  });
  picture.addEventListener("pointermove", (event) => {
    if (dragging !== null) give(moved(points(), dragging, place(event), active.minGap), false);
  });
  picture.addEventListener("pointerup", () => {
    if (dragging === null) return;
    dragging = null;
    on.change(active.key, points());
  });
  picture.addEventListener("dblclick", (event) => {
    const index = nearest(place(event));
    if (index >= 0) {
      chosen = 0;
      give(removed(points(), index, active), true);
    }
  });
  picture.addEventListener("keydown", (event) => {
    const step = MOVES[event.key];
    if (step) {
      const [x, y] = points()[chosen];
      give(moved(points(), chosen, [x + step[0] / 255, y + step[1] / 255], active.minGap), true);
    } else if (event.key === "Insert" || event.key === "+") {
      const more = between(points(), chosen, monotone(points()), active);
      if (!more) return;
      chosen = more.index;
      give(more.points, true);
      dots.children[chosen]?.focus();
    } else if (event.key === "Delete" || event.key === "Backspace") {
      const index = chosen;
      chosen = Math.max(0, index - 1);
      give(removed(points(), index, active), true);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  });
  draw();

  return {
    element,
    set(next) {
      Object.assign(all, next);
      chosen = Math.min(chosen, points().length - 1);
      if (dragging === null) draw();
    },
    /** Draws the tones that come in behind the curve; counts by 256 tones and channel. */
    tones({ red, green, blue }) {
      const sum = red.map((n, i) => n + green[i] + blue[i]);
      const top = Math.max(...sum.slice(2, 254), 1);
      const line = sum.map(
        (n, i) => `L${((i / 255) * W).toFixed(1)} ${(H - Math.min(1, n / top) * H * 0.9).toFixed(1)}`,
      );
      tones.setAttribute("d", `M0 ${H}${line.join("")}L${W} ${H}Z`);
    },
  };
}

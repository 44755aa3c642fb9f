// Settings of hues as patches round a wheel, in the order and at the angles of Oklab: a patch is pulled
// outwards for more and inwards for less. Greys stand beside it, and are pulled up and down. One row of
// the table at a time.
import { pulled, spoken } from "./pull.js";
import { shown } from "./slider.js";
import { svg } from "./svg.js";

const INNER = 18; // the least
const OUTER = 80; // the most
const RIM = [84, 97];
const GAP = 2; // degrees between patches
const GREYS = ["0.32", "0.62", "0.9"]; // lightness of the patches, dark to light
const GREY = { x: 112, width: 24, step: 31, low: 80, high: -80 };

const polar = (radius, degrees) => [
  Math.cos((degrees * Math.PI) / 180) * radius,
  -Math.sin((degrees * Math.PI) / 180) * radius,
];
const at = (radius, degrees) =>
  polar(radius, degrees)
    .map((v) => v.toFixed(2))
    .join(" ");

/** A piece of a ring, as the data of a path. */
export const sector = (from, to, low, high) =>
  `M${at(from, low)}A${from} ${from} 0 0 0 ${at(from, high)}L${at(to, high)}A${to} ${to} 0 0 1 ${at(to, low)}Z`;

/** The hues of a table in wheel order, each with the angles that its patch takes; and its greys. */
export function patchesOf(settings) {
  const columns = [...new Map(settings.map((s) => [s.column, s.columnHue]))];
  const hues = columns.filter(([, hue]) => hue !== undefined).toSorted((a, b) => a[1] - b[1]);
  const half = 180 / hues.length;
  const first = hues[0]?.[1] ?? 0;
  return {
    hues: hues.map(([column, hue], i) => {
      const middle = first + i * 2 * half; // evenly, however the hues stand
      return { column, hue, middle, low: middle - half + GAP / 2, high: middle + half - GAP / 2 };
    }),
    greys: columns.filter(([, hue]) => hue === undefined).map(([column]) => ({ column })),
  };
}

/**
 * @param settings descriptors with row, column and columnHue
 * @param values by key
 * @param on { input(key, value), change(key, value, label) }
 * @returns { element, set(values) }
 */
export function wheel(settings, values, on) {
  const { hues, greys } = patchesOf(settings);
  const rows = [...new Set(settings.map((s) => s.row))];
  const element = document.createElement("div");
  element.className = "wheel-editor";
  const head = document.createElement("div");
  head.className = "wheel-head";
  const words = document.createElement("output");
  const drawing = svg("svg", { class: "wheel", viewBox: `-100 -100 ${greys.length > 0 ? 306 : 200} 200` });
  let row = rows[0];
  let now = values;
  let held = null;
  const settingOf = (column) => settings.find((s) => s.row === row && s.column === column);
  const share = (s, v) => (v - s.min) / (s.max - s.min);
  const said = (s) => `${shown(now[s.key], s.step)} ${s.unit}`.trim();

  const either = document.createElement("span");
  either.className = "either";
  either.setAttribute("role", "group");
  either.setAttribute("aria-label", "What is set");
  const buttons = rows.map((name) => {
    const made = Object.assign(document.createElement("button"), { type: "button", textContent: name });
    made.addEventListener("click", () => {
      row = name;
      draw();
    });
    either.append(made);
    return made;
  });
  if (rows.length > 1) head.append(either);
  head.append(words);
  element.append(head, drawing);

  for (const radius of [INNER, OUTER]) svg("circle", { class: "wheel-end", r: radius }, drawing);
  const start = svg("circle", { class: "wheel-start" }, drawing);
  const patches = [...hues.map((patch) => ofHue(patch)), ...greys.map((patch, i) => ofGrey(patch, i))];

  function ofHue(patch) {
    const group = svg("g", { class: "patch" }, drawing);
    group.style.setProperty("--patch", `oklch(0.72 0.13 ${patch.hue})`);
    svg("path", { class: "patch-rim", d: sector(RIM[0], RIM[1], patch.low, patch.high) }, group);
    const bar = svg("path", { class: "patch-bar" }, group);
    const hand = svg("path", { class: "patch-hand", d: sector(INNER, RIM[1], patch.low, patch.high) }, group);
    const radius = (v) => INNER + (OUTER - INNER) * v;
    const line = () => {
      const scale = drawing.getScreenCTM().a;
      const [x, y] = polar((OUTER - INNER) * scale, patch.middle);
      return { x, y };
    };
    return pull(patch, group, hand, line, (s, v) => {
      const [low, high] = [share(s, s.start), share(s, v)].map(radius).toSorted((a, b) => a - b);
      bar.setAttribute("d", sector(low, Math.max(high, low + 0.01), patch.low, patch.high));
    });
  }

  function ofGrey(patch, i) {
    const group = svg("g", { class: "patch" }, drawing);
    group.style.setProperty("--patch", `oklch(${GREYS[i % GREYS.length]} 0 0)`);
    const x = GREY.x + GREY.step * i;
    svg("rect", { class: "patch-rim", x, y: RIM[0], width: GREY.width, height: RIM[1] - RIM[0] }, group);
    svg("line", { class: "wheel-start", x1: x, x2: x + GREY.width, y1: 0, y2: 0 }, group);
    const bar = svg("rect", { class: "patch-bar", x, width: GREY.width }, group);
    const hand = svg(
      "rect",
      { class: "patch-hand", x, y: GREY.high, width: GREY.width, height: RIM[1] - GREY.high },
      group,
    );
    const y = (v) => GREY.low + (GREY.high - GREY.low) * v;
    const line = () => ({ x: 0, y: (GREY.high - GREY.low) * drawing.getScreenCTM().a });
    return pull(patch, group, hand, line, (s, v) => {
      const [top, foot] = [share(s, s.start), share(s, v)].map(y).toSorted((a, b) => a - b);
      bar.setAttribute("y", top);
      bar.setAttribute("height", foot - top);
    });
  }

  function pull(patch, group, hand, line, shape) {
    const setting = () => settingOf(patch.column);
    pulled(
      hand,
      { setting, value: () => now[setting().key], line },
      {
        input(value) {
          now = { ...now, [setting().key]: value };
          draw();
          on.input(setting().key, value);
        },
        change: (value) => on.change(setting().key, value, setting().label),
        held(is) {
          if (is) held = patch.column;
          else if (held === patch.column) held = null;
          tell();
        },
      },
    );
    return () => {
      const s = setting();
      hand.dataset.patch = s.key;
      shape(s, now[s.key]);
      group.classList.toggle("is-moved", now[s.key] !== s.start);
      spoken(hand, s, now[s.key], said(s));
    };
  }

  function tell() {
    const s = held && settingOf(held);
    words.textContent = s ? `${held} ${said(s)}` : "Pull a patch out or in";
  }

  function draw() {
    const first = settings.find((s) => s.row === row);
    start.setAttribute("r", INNER + (OUTER - INNER) * share(first, first.start));
    rows.forEach((name, i) => {
      buttons[i].setAttribute("aria-pressed", String(name === row));
      buttons[i].classList.toggle(
        "is-moved",
        settings.some((s) => s.row === name && now[s.key] !== s.start),
      );
    });
    for (const patch of patches) patch();
    tell();
  }

  draw();
  return {
    element,
    set(next) {
      now = next;
      draw();
    },
  };
}

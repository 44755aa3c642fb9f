// The settings of a veil, made from the descriptors that the application sends.
import { curveEditor } from "./curve.js";
import { editor, standsAlone } from "./editor.js";
import { columnsOf } from "./columns.js";
import { matrix } from "./matrix.js";
import { partOf, parts } from "./parts.js";
import { startingPoints } from "./starting-points.js";
import { titled } from "./titled.js";
import { toneStrip } from "./tone-strip.js";
import { wheel } from "./wheel.js";

const MANY = 19; // settings from which they are shown part by part

/**
 * @param kind { settings: descriptors, startingPoints }
 * @param values by key
 * @param on { input(key, value), change(key, value, label), start(values, label) }
 * @returns { element, set(values), tones(histogram) }
 */
export function settingsEditor(kind, values, on) {
  const element = document.createElement("div");
  element.className = "groups";
  const curves = kind.settings.filter((s) => s.type === "curve");
  const others = kind.settings.filter((s) => s.row || standsAlone(s));
  const alone = new Map();
  let curve = null;
  if (curves.length > 0) {
    curve = curveEditor(curves, values, {
      input: on.input,
      change: (key, points) => on.change(key, points, "Curve"),
    });
    element.append(curve.element);
  }
  const tables = [];
  const strips = [];
  const inParts = curves.length === 0 && !others.some((n) => n.row) && others.length >= MANY;
  let laid = [];
  let side = null;
  if (inParts) {
    side = parts([...new Set(others.map((s) => partOf(s.group)))], (name) => {
      for (const { made, part } of laid) made.hidden = part !== name;
    });
    element.append(side.element);
  }
  laid = columnsOf(others, inParts).map(({ part, groups, isOnly }) => {
    const made = Object.assign(document.createElement("div"), { className: "column" });
    made.classList.toggle("is-wide", isOnly);
    made.append(...groups.map(([name, own]) => (own[0].row ? table(name, own) : group(name, own))));
    return { made, part };
  });
  element.append(...laid.map(({ made }) => made));
  const partNames = [...new Set(others.map((s) => partOf(s.group)))];
  side?.look(partNames.find((name) => acts(name, values)) ?? partNames[0] ?? "");

  /** Whether the first setting of a part, on which the others hang, is away from its start. */
  function acts(name, next) {
    const first = others.find((s) => partOf(s.group) === name);
    return next[first.key] !== first.start;
  }

  function table(name, own) {
    const made = matrix(own, values, on);
    tables.push(made);
    if (!own.some((s) => s.columnHue !== undefined)) return titled(name, made.element);
    const patches = wheel(own, values, on);
    tables.push(patches);
    return titled(name, patches.element, made.element);
  }

  function group(name, own) {
    const box = document.createElement("div");
    box.className = "sliders";
    box.style.setProperty(
      "--unit",
      `${Math.max(0.5, ...own.map((n) => (n.unit === "‰" ? 1.9 : (n.unit ?? "").length + 0.4)))}ch`,
    );
    box.style.setProperty("--label", `${Math.max(...own.map((n) => n.label.length)) * 0.52 + 0.9}em`);
    for (const setting of own) {
      const one = editor(setting, values[setting.key], {
        input: (value) => on.input(setting.key, value),
        change: (value) => on.change(setting.key, value, setting.label),
      });
      alone.set(setting.key, one);
      box.append(one.element);
    }
    const ranged = own.filter((s) => s.tonesTo !== undefined);
    const made = titled(name, ...(ranged.length > 0 ? [strip(ranged)] : []), box);
    const points = kind.startingPoints.filter((p) => p.group === name);
    if (points.length > 0) made.firstChild.append(startingPoints(points, (p) => on.start(p.values, p.label)));
    return made;
  }

  function strip(own) {
    const made = toneStrip(own, values, on);
    strips.push(made);
    return made.element;
  }

  return {
    element,
    set(next) {
      for (const made of strips) made.set(next);
      for (const [key, made] of alone) made.set(next[key]);
      for (const name of new Set(laid.map((c) => c.part))) side?.mark(name, acts(name, next));
      for (const made of tables) made.set(next);
      curve?.set(next);
    },
    tones(histogram) {
      curve?.tones(histogram);
      for (const made of strips) made.tones(histogram);
    },
  };
}

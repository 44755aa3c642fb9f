// The settings of a veil, made from the descriptors that the application sends.
import { curveEditor } from "./curve.js";
import { slider } from "./slider.js";

const WIDE_FROM = 6;

/**
 * @param kind { settings: descriptors }
 * @param values by key
 * @param on { input(key, value), change(key, value, label) }
 * @returns { element, set(values), tones(histogram) }
 */
export function settingsEditor(kind, values, on) {
  const element = document.createElement("div");
  element.className = "groups";
  const curves = kind.settings.filter((s) => s.type === "curve");
  const numbers = kind.settings.filter((s) => s.type === "number");
  const sliders = new Map();
  let curve = null;
  if (curves.length > 0) {
    curve = curveEditor(curves, values, {
      input: on.input,
      change: (key, points) => on.change(key, points, "Curve"),
    });
    element.append(curve.element);
  }
  for (const name of new Set(numbers.map((s) => s.group))) {
    const own = numbers.filter((s) => s.group === name);
    const group = document.createElement("section");
    group.className = own.length >= WIDE_FROM ? "group is-wide" : "group";
    const heading = document.createElement("h3");
    heading.textContent = name;
    const box = document.createElement("div");
    box.className = "sliders";
    for (const setting of own) {
      const made = slider(setting, values[setting.key], {
        input: (value) => on.input(setting.key, value),
        change: (value) => on.change(setting.key, value, setting.label),
      });
      sliders.set(setting.key, made);
      box.append(made.element);
    }
    group.append(heading, box);
    element.append(group);
  }
  return {
    element,
    set(next) {
      for (const [key, made] of sliders) made.set(next[key]);
      curve?.set(next);
    },
    tones: (histogram) => curve?.tones(histogram),
  };
}

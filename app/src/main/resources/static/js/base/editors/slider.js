// A setting as a slider with a number: drag, wheel, arrow keys, type; double-click gives the start.
// With Shift the hand moves ten times as far for the same change. Where a setting has marks, such as
// thirds of a stop, it goes from one to the next, and with Shift between them.
import { onGrid, stepped, stepsOf } from "./steps.js";

const WHEEL_SETTLES_MS = 250;
const FINE = 0.1;

const decimals = (step) => (step >= 1 ? 0 : step >= 0.1 ? 1 : 2);

/** Value as shown: without needless zeros behind the point, with a true minus. */
export const shown = (value, step) => Number(value.toFixed(decimals(step))).toString();

/**
 * @param setting { key, label, group, unit, min, max, step, start, mark }
 * @param value at first
 * @param on { input(value): while it moves, change(value): when it rests }
 * @returns { element, set(value) }
 */
export function slider(setting, value, on) {
  const { min, max, step, start, mark } = setting;
  const spoken =
    setting.group && setting.group !== setting.label ? `${setting.group}: ${setting.label}` : setting.label;
  const element = document.createElement("div");
  element.className = "setting";
  element.dataset.key = setting.key;
  element.classList.toggle("is-hue", setting.unit === "°" && min === 0 && max === 360);
  const id = `s-${setting.key}-${Math.random().toString(36).slice(2, 8)}`;
  const label = document.createElement("label");
  label.htmlFor = id;
  label.textContent = setting.label;
  label.title = setting.label;
  const range = Object.assign(document.createElement("input"), { type: "range", id, min, max, step: "any" });
  range.className = "slide";
  range.setAttribute("aria-label", spoken);
  if (mark) {
    range.classList.add("has-marks");
    range.style.setProperty("--marks", String((max - min) / mark));
  }
  range.title = `${setting.label}; double-click for ${shown(start, step)}`;
  const number = Object.assign(document.createElement("input"), { type: "number", min, max, step: "any" });
  number.setAttribute("aria-label", `${spoken}, number`);
  const unit = document.createElement("span");
  unit.className = "unit";
  unit.textContent = setting.unit ?? "";
  element.append(label, range, number, unit);

  let settling;
  let now = value; // where it stands
  const fit = (v) => Math.min(max, Math.max(min, v));
  const grid = (v) => onGrid(setting, v);
  const share = (v) => `${((v - min) / (max - min)) * 100}%`;

  function set(v) {
    now = v;
    range.value = v;
    if (document.activeElement !== number || Number(number.value) !== v) number.value = shown(v, step);
    range.setAttribute("aria-valuetext", `${shown(v, step)} ${setting.unit ?? ""}`.trim());
    range.style.setProperty("--hue", v);
    range.style.setProperty("--from", share(Math.min(v, start)));
    range.style.setProperty("--to", share(Math.max(v, start)));
    element.classList.toggle("is-moved", Math.abs(v - start) > step / 1000);
  }

  function give(v, rests) {
    set(v);
    on.input?.(v);
    if (rests) on.change?.(v);
  }

  let fine = null; // { raw, value } where Shift was pressed
  range.addEventListener("pointermove", (event) => {
    if (!event.shiftKey) fine = null;
    else fine ??= { raw: null, value: now };
  });
  range.addEventListener("pointerup", () => (fine = null));
  range.addEventListener("input", () => {
    const raw = Number(range.value);
    if (fine) {
      fine.raw ??= raw;
      give(grid(fine.value + (raw - fine.raw) * FINE), false);
    } else give(grid(mark ? Math.round(raw / mark) * mark : raw), false);
  });
  range.addEventListener("change", () => on.change?.(now));
  range.addEventListener("dblclick", () => give(start, true));
  range.addEventListener("keydown", (event) => {
    const steps = stepsOf(event);
    if (!steps) return;
    event.preventDefault();
    event.stopPropagation();
    give(stepped(setting, now, steps, event.shiftKey), true);
  });
  element.addEventListener(
    "wheel",
    (event) => {
      event.preventDefault();
      give(stepped(setting, now, -Math.sign(event.deltaY || event.deltaX), event.shiftKey), false);
      clearTimeout(settling);
      settling = setTimeout(() => on.change?.(now), WHEEL_SETTLES_MS);
    },
    { passive: false },
  );
  number.addEventListener("change", () => {
    const typed = Number(number.value);
    give(number.value === "" || Number.isNaN(typed) ? now : fit(typed), true);
  });
  number.addEventListener("keydown", (event) => {
    if (event.key === "Enter") number.blur(); // the keys are the page's again
  });
  set(value);
  return { element, set };
}

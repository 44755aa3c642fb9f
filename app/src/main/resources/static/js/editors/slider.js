// A setting as a slider with a number: drag, wheel, arrow keys, type; double-click gives the start.

const WHEEL_SETTLES_MS = 250;

const decimals = (step) => (step >= 1 ? 0 : step >= 0.1 ? 1 : 2);

/** Value as shown: without needless zeros behind the point, with a true minus. */
export const shown = (value, step) => Number(value.toFixed(decimals(step))).toString();

/**
 * @param setting { key, label, unit, min, max, step, start }
 * @param value at first
 * @param on { input(value): while it moves, change(value): when it rests }
 * @returns { element, set(value) }
 */
export function slider(setting, value, on) {
  const { min, max, step, start } = setting;
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
  range.setAttribute("aria-label", setting.label);
  range.title = `${setting.label}; double-click for ${shown(start, step)}`;
  const number = Object.assign(document.createElement("input"), { type: "number", min, max, step: "any" });
  number.setAttribute("aria-label", `${setting.label}, number`);
  const unit = document.createElement("span");
  unit.className = "unit";
  unit.textContent = setting.unit ?? "";
  element.append(label, range, number, unit);

  let settling;
  const fit = (v) => Math.min(max, Math.max(min, v));
  const grid = (v) => fit(Math.round((v - start) / step) * step + start);
  const share = (v) => `${((v - min) / (max - min)) * 100}%`;

  function set(v) {
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

  range.addEventListener("input", () => give(grid(Number(range.value)), false));
  range.addEventListener("change", () => on.change?.(grid(Number(range.value))));
  range.addEventListener("dblclick", () => give(start, true));
  range.addEventListener("keydown", (event) => {
    const sign = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (!sign) return;
    event.preventDefault();
    event.stopPropagation();
    give(grid(Number(range.value) + sign * step * (event.shiftKey ? 10 : 1)), true);
  });
  element.addEventListener("wheel", (event) => {
    event.preventDefault();
    give(grid(Number(range.value) - Math.sign(event.deltaY) * step * (event.shiftKey ? 10 : 1)), false);
    clearTimeout(settling);
    settling = setTimeout(() => on.change?.(Number(range.value)), WHEEL_SETTLES_MS);
  }, { passive: false });
  number.addEventListener("change", () => {
    const typed = Number(number.value);
    give(number.value === "" || Number.isNaN(typed) ? Number(range.value) : fit(typed), true);
  });
  set(value);
  return { element, set };
}

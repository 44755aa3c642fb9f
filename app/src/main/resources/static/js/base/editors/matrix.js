// Settings of one group as a table: every cell is dragged up and down, wheeled, or typed.
import { shown } from "./slider.js";
import { stepped, stepsOf } from "./steps.js";

const DRAG_FROM = 3;
const PIXELS_PER_STEP = 2;
const FINE = 5; // times as far with Shift
const WHEEL_SETTLES_MS = 250;
const LEVEL = 6; // columns of which the headings have room side by side

const shortened = (column) => (column.length > 12 ? `${column.slice(0, 5)}.` : column);

/** Rows and columns of a table in the order of its settings. */
export function layout(settings) {
  return {
    rows: [...new Set(settings.map((s) => s.row))],
    columns: [...new Set(settings.map((s) => s.column))],
  };
}

/**
 * @param settings descriptors with row and column
 * @param values by key
 * @param on { input(key, value), change(key, value, label) }
 * @returns { element, set(values) }
 */
export function matrix(settings, values, on) {
  const { rows, columns } = layout(settings);
  const table = document.createElement("table");
  table.className = "matrix";
  table.classList.toggle("has-many", columns.length > LEVEL);
  const head = table.createTHead().insertRow();
  head.append(document.createElement("td"));
  for (const column of columns) {
    head.append(
      coloured(
        heading(shortened(column), "col", column),
        settings.find((s) => s.column === column),
      ),
    );
  }
  const body = table.createTBody();
  const cells = new Map();
  for (const row of rows) {
    const line = body.insertRow();
    line.append(heading(row, "row", row));
    for (const column of columns) {
      const setting = settings.find((s) => s.row === row && s.column === column);
      const made = cell(setting, on);
      cells.set(setting.key, made);
      line.insertCell().append(made.element);
    }
  }
  const set = (next) => {
    for (const [key, made] of cells) made.set(next[key]);
  };
  set(values);
  return { element: table, set };
}

function heading(text, scope, title) {
  const made = document.createElement("th");
  made.scope = scope;
  made.textContent = text;
  made.title = title;
  return made;
}

/** A heading with a patch of the hue that its column is about, if it is about one. */
function coloured(made, { columnHue }) {
  if (columnHue === undefined) return made;
  made.classList.add("has-hue");
  made.style.setProperty("--hue", String(columnHue));
  return made;
}

function cell(setting, on) {
  const element = document.createElement("div");
  element.className = "cell";
  element.dataset.key = setting.key;
  const input = Object.assign(document.createElement("input"), { type: "text", inputMode: "numeric" });
  input.setAttribute("aria-label", `${setting.label}, ${setting.unit}`);
  element.title = `${setting.label}: drag up or down, double-click for ${setting.start}`;
  element.append(input);
  let value = setting.start;
  let settling;
  const text = () => shown(value, Math.min(setting.step, 0.1));

  function set(next) {
    value = next;
    if (document.activeElement !== input || input.readOnly) input.value = next === setting.start ? "·" : text();
    const share = (next - setting.start) / Math.max(setting.max - setting.start, setting.start - setting.min);
    element.style.setProperty("--share", String(Math.abs(share)));
    element.classList.toggle("is-more", share > 0);
    element.classList.toggle("is-less", share < 0);
  }

  function give(next, rests) {
    set(next);
    on.input(setting.key, next);
    if (rests) on.change(setting.key, next, setting.label);
  }

  let from = null;
  const editing = () => document.activeElement === input;
  element.addEventListener("mousedown", (event) => {
    if (!editing()) event.preventDefault(); // or the browser would drag the selected number away
  });
  element.addEventListener("pointerdown", (event) => {
    if (event.button !== 0 || editing()) return;
    from = { y: event.clientY, value, moved: false };
    element.setPointerCapture(event.pointerId);
  });
  element.addEventListener("pointermove", (event) => {
    if (!from) return;
    const up = from.y - event.clientY;
    if (!from.moved && Math.abs(up) < DRAG_FROM) return;
    from.moved = true;
    const pixels = event.shiftKey ? PIXELS_PER_STEP * FINE : PIXELS_PER_STEP;
    give(stepped(setting, from.value, Math.round(up / pixels)), false);
  });
  element.addEventListener("pointerup", () => {
    const drag = from;
    from = null;
    if (!drag) return;
    if (drag.moved) on.change(setting.key, value, setting.label);
    else input.focus();
  });
  element.addEventListener(
    "wheel",
    (event) => {
      event.preventDefault();
      give(stepped(setting, value, -Math.sign(event.deltaY)), false);
      clearTimeout(settling);
      settling = setTimeout(() => on.change(setting.key, value, setting.label), WHEEL_SETTLES_MS);
    },
    { passive: false },
  );
  element.addEventListener("dblclick", () => give(setting.start, true));
  input.addEventListener("focus", () => {
    input.value = text();
    input.select();
  });
  input.addEventListener("blur", () => set(value));
  input.addEventListener("change", () => {
    const typed = Number(input.value.replace("−", "-").replace(",", "."));
    if (!Number.isNaN(typed)) give(Math.min(setting.max, Math.max(setting.min, typed)), true);
  });
  input.addEventListener("keydown", (event) => {
    if (event.key === "Enter") input.blur(); // the keys are the page's again
    const steps = /^Arrow(Left|Right)$/.test(event.key) ? 0 : stepsOf(event);
    if (!steps) return;
    event.preventDefault();
    give(stepped(setting, value, steps), true);
    input.value = text();
    input.select();
  });
  return { element, set };
}

// The card as the photographer will see it: its dials can be turned to try them, dragged into order by
// their grips, and put under headings.
import { slider } from "../../base/editors/slider.js";
import { quietButton } from "../../base/web/button.js";
import { redrawn } from "../../base/web/redrawn.js";
import { dialsOf, headed, linesOf, movedTo, renamed, without } from "../../wear/veil/card-lines.js";
import { LABEL } from "../../base/web/rules.js";

/**
 * @param on { change(all dials, label), try(dial, value): while a dial is turned, null when it is let go }
 * @returns { element, show(dials, { note, heading: what a new one says, setting(dial): its descriptor, value(dial) }) }
 */
export function cardPreview(on) {
  const element = document.createElement("div");
  element.className = "card-preview";
  const list = document.createElement("div");
  list.className = "card-lines";
  const note = Object.assign(document.createElement("p"), { className: "note" });
  const empty = Object.assign(document.createElement("p"), {
    className: "text-muted",
    textContent: "No dial yet: the photographer can set the opacity alone.",
  });
  const adder = quietButton("Add a heading", addHeading);
  element.append(note, list, empty, adder);
  list.addEventListener("pointermove", (event) => drag && moveTo(event.clientY));
  list.addEventListener("pointerup", () => letGo(true));
  list.addEventListener("pointercancel", () => letGo(false));
  let lines = [];
  let shown = null; // what the card was drawn with
  let shape = "";
  let drag = null;
  let fresh = null; // name of a heading that was just put in

  const give = (next, label) => on.change(dialsOf(next), label);

  function show(dials, card) {
    const now = JSON.stringify([dials, dials.map(card.value), card.note]);
    shown = card;
    if (now === shape || drag || element.querySelector(":active")) return;
    shape = now;
    lines = linesOf(dials);
    note.textContent = card.note;
    note.hidden = card.note === "";
    empty.hidden = lines.length > 0;
    adder.hidden = !free();
    redrawn(list, ...lines.map(lineOf));
    if (fresh) list.querySelector(`[data-line="${CSS.escape(fresh)}"] input`)?.select();
    fresh = null;
  }

  function lineOf(line) {
    const box = document.createElement("div");
    box.className = line.dial ? "card-line" : "card-line is-heading";
    box.dataset.line = line.id;
    box.append(grip(line), ...(line.dial ? [dialOf(line.dial)] : headingOf(line)));
    return box;
  }

  function dialOf(dial) {
    const own = shown.value(dial);
    const setting = {
      ...shown.setting(dial),
      key: dial.key,
      group: "",
      label: dial.label,
      min: dial.min,
      max: dial.max,
      start: own,
    };
    const made = slider(setting, own, { input: (value) => on.try(dial, value), change: () => on.try(dial, null) });
    made.element.addEventListener("change", () => setTimeout(() => made.set(own), 0));
    return made.element;
  }

  function headingOf(line) {
    const field = Object.assign(document.createElement("input"), {
      type: "text",
      value: line.heading,
      placeholder: "no heading",
      maxLength: LABEL,
    });
    field.setAttribute("aria-label", `Heading “${line.heading}”`);
    field.addEventListener("change", () =>
      give(renamed(lines, line.id, field.value), `heading “${field.value.trim() || line.heading}”`),
    );
    field.addEventListener("keydown", (event) => event.key === "Enter" && field.blur());
    const drop = quietButton("Drop", () => give(without(lines, line.id), `drop the heading “${line.heading}”`));
    drop.setAttribute("aria-label", `Drop the heading ${line.heading}`);
    return [field, drop];
  }

  /** The last dial that has no heading right above it. */
  const free = () => lines.findLast((l, i) => l.dial && (i === 0 || lines[i - 1].dial));

  function addHeading() {
    const below = free();
    fresh = `above ${below.id}`;
    give(headed(lines, below.id, headingFor(shown.heading)), "heading of dials");
  }

  /** A heading that is not there yet, so that it is told from the one above. */
  function headingFor(wanted) {
    const taken = new Set(lines.map((l) => l.heading));
    const numbered = (n) => (n === 1 ? wanted : `${wanted.slice(0, LABEL - 3)} ${n}`);
    for (let n = 1; ; n++) if (!taken.has(numbered(n))) return numbered(n);
  }

  function grip(line) {
    const what = line.dial ? `the dial ${line.dial.label}` : `the heading ${line.heading}`;
    const made = Object.assign(document.createElement("button"), {
      type: "button",
      className: "grip",
      title: "Drag, or arrow keys",
    });
    made.setAttribute("aria-label", `Move ${what}`);
    made.addEventListener("keydown", (event) => {
      const step = { ArrowUp: -1, ArrowDown: 1 }[event.key];
      if (event.key === "Escape" && drag) return letGo(false);
      if (!step) return;
      event.preventDefault();
      event.stopPropagation();
      const to = lines.findIndex((l) => l.id === line.id) + step;
      if (to >= 0 && to < lines.length) give(movedTo(lines, line.id, to), `move ${what}`);
    });
    made.addEventListener("pointerdown", (event) => {
      event.preventDefault();
      list.setPointerCapture(event.pointerId); // not the grip: it is moved
      made.focus({ preventScroll: true });
      drag = { line, what, row: made.closest("[data-line]") };
      drag.row.classList.add("is-dragged");
    });
    return made;
  }

  /** The dragged row goes where the pointer is. */
  function moveTo(y) {
    const rows = [...list.children].filter((row) => row !== drag.row);
    const before = rows.find((row) => {
      const box = row.getBoundingClientRect();
      return y < (box.top + box.bottom) / 2;
    });
    if ((before ?? null) !== drag.row.nextElementSibling) list.insertBefore(drag.row, before ?? null);
  }

  function letGo(stays) {
    if (!drag) return;
    const { line, what, row } = drag;
    const to = [...list.children].indexOf(row);
    row.classList.remove("is-dragged");
    drag = null;
    const next = movedTo(lines, line.id, to);
    if (stays && next.some((l, i) => l !== lines[i])) return give(next, `move ${what}`);
    list.append(...lines.map((l) => list.querySelector(`[data-line="${CSS.escape(l.id)}"]`)));
  }

  return { element, show };
}

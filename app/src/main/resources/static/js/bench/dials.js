// The dials of a veil: which of its settings the photographer may change, under which label, from
// where to where; and the card as she will see it.
import { quietButton } from "../web/button.js";
import { slider } from "../editors/slider.js";
import { titled } from "../editors/titled.js";

const MAX_LABEL = 40;
const named = (s) => (s.group && s.group !== s.label ? `${s.group}: ${s.label.toLowerCase()}` : s.label);

/**
 * @param kind of the veil
 * @param on { change(dials of this veil, label), try(key, value): while a dial of the card is
 *   turned; null when it is let go, note(): what the photographer reads }
 * @returns { element, show(veil, dials of this veil) }
 */
export function dialsEditor(kind, on) {
  const numbers = kind.settings.filter((s) => s.type === "number");
  const places = kind.handles;
  const dialOf = (s, label) => ({ veil: veil.id, key: s.key, label: label.slice(0, MAX_LABEL), min: s.min, max: s.max });
  const missing = ({ x, y, angle, length }) => numbers.filter((n) => [x, y, angle, length].includes(n.key) && !dials.some((d) => d.key === n.key));
  const element = document.createElement("div");
  element.className = "dials";
  const table = document.createElement("div");
  table.className = "dial-rows";
  const add = document.createElement("select");
  add.dataset.addDial = "";
  add.setAttribute("aria-label", "Make a dial of a setting");
  add.addEventListener("change", () => {
    const s = numbers.find((n) => n.key === add.value);
    const place = places.find((p) => p.label === add.value);
    if (s) on.change([...dials, dialOf(s, s.label)], `dial of ${s.label.toLowerCase()}`);
    if (place) on.change([...dials, ...missing(place).map((n) => dialOf(n, `${place.label}: ${n.label.toLowerCase()}`))], `place of the ${place.label.toLowerCase()}`);
  });
  const card = document.createElement("div");
  card.className = "card-preview";
  element.append(titled("The photographer may change", table, add), titled("The card, as it will be", card));
  let veil = null;
  let dials = [];
  let shape = "";

  function show(next, own) {
    veil = next;
    dials = own;
    const now = JSON.stringify([own, own.map((d) => next.settings[d.key]), on.note()]);
    if (now === shape || element.contains(document.activeElement?.closest?.(".card-preview"))) return;
    shape = now;
    table.replaceChildren(...own.map(row));
    const left = numbers.filter((s) => !own.some((d) => d.key === s.key));
    add.replaceChildren(new Option("Make a dial of …", ""), ...left.map((s) => new Option(named(s), s.key)));
    for (const place of places.filter((p) => missing(p).length > 0)) add.add(new Option(`Place on the picture: ${place.label.toLowerCase()}`, place.label));
    card.replaceChildren(...preview());
  }

  function row(dial) {
    const s = numbers.find((n) => n.key === dial.key);
    const box = document.createElement("div");
    box.className = "dial-row";
    box.dataset.dial = dial.key;
    const give = (fields) => on.change(dials.map((d) => (d.key === dial.key ? { ...d, ...fields } : d)), `dial “${dial.label}”`);
    const label = input("text", dial.label, `Label of the dial for ${named(s)}`, (v) => v.trim() && give({ label: v.trim() }));
    label.maxLength = MAX_LABEL;
    const own = veil.settings[dial.key];
    const min = input("number", dial.min, "From", (v) => give({ min: Math.min(own, Math.max(s.min, Number(v))) }));
    const max = input("number", dial.max, "To", (v) => give({ max: Math.max(own, Math.min(s.max, Number(v))) }));
    const drop = quietButton("Drop", () => on.change(dials.filter((d) => d.key !== dial.key), `drop the dial “${dial.label}”`));
    drop.setAttribute("aria-label", `Drop the dial ${dial.label}`);
    const to = Object.assign(document.createElement("span"), { textContent: "to" });
    const unit = Object.assign(document.createElement("span"), { className: "unit", textContent: s.unit });
    box.append(label, min, to, max, unit, drop);
    return box;
  }

  function preview() {
    const note = Object.assign(document.createElement("p"), { className: "note", textContent: on.note() });
    const sliders = dials.map((dial) => {
      const s = { ...numbers.find((n) => n.key === dial.key), label: dial.label, min: dial.min, max: dial.max };
      const own = veil.settings[dial.key];
      const made = slider({ ...s, start: own }, own, {
        input: (value) => on.try(dial.key, value),
        change: () => on.try(null),
      });
      made.element.addEventListener("change", () => setTimeout(() => made.set(own), 0));
      return made.element;
    });
    const empty = Object.assign(document.createElement("p"), { className: "text-muted", textContent: "No dial yet: the photographer can set the opacity alone." });
    return [...(on.note() ? [note] : []), ...(sliders.length > 0 ? sliders : [empty])];
  }

  return { element, show };
}

function input(type, value, label, change) {
  const made = Object.assign(document.createElement("input"), { type, value });
  if (type === "number") made.step = "any";
  made.setAttribute("aria-label", label);
  made.addEventListener("change", () => change(made.value));
  return made;
}

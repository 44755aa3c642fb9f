// The dials of a veil: which of its settings the photographer may change, under which label, from
// where to where; and the card of the whole effect as she will see it.
import { quietButton } from "../../base/web/button.js";
import { titled } from "../../base/editors/titled.js";
import { redrawn } from "../../base/web/redrawn.js";
import { handlesIn, numberOf, numbersOf } from "../../wear/veil/numbers.js";
import { cardPreview } from "./card-preview.js";
import { LABEL } from "../../base/web/rules.js";

const named = (s) => (s.group && s.group !== s.label ? `${s.group}: ${s.label.toLowerCase()}` : s.label);

/**
 * @param kindOf gives the kind of a veil
 * @param sorts of rule
 * @param on { change(all dials, label), try(dial, value): while a dial of the card is turned, null when it
 *   is let go }
 * @returns { element, show(veil, effect) }
 */
export function dialsEditor(kindOf, sorts, on) {
  const element = document.createElement("div");
  element.className = "dials";
  const table = document.createElement("div");
  table.className = "dial-rows";
  const add = document.createElement("select");
  add.dataset.addDial = "";
  add.setAttribute("aria-label", "Make a dial of a setting");
  add.addEventListener("change", () => {
    const s = numbers().find((n) => n.key === add.value);
    const place = places().find((p) => p.label === add.value);
    if (s) on.change([...effect.dials, dialOf(s, s.label)], `dial of ${s.label.toLowerCase()}`);
    if (place)
      on.change(
        [...effect.dials, ...missing(place).map((n) => dialOf(n, `${place.label}: ${n.label.toLowerCase()}`))],
        `place of the ${place.label.toLowerCase()}`,
      );
  });
  const card = cardPreview(on);
  element.append(titled("The photographer may change", table, add), titled("The card, as it will be", card.element));
  let veil = null;
  let effect = null;
  let shape = "";

  const own = () => effect.dials.filter((d) => d.veil === veil.id);
  const numbers = () => numbersOf(veil, kindOf(veil), sorts);
  const places = () => handlesIn(veil, kindOf(veil), sorts);
  const is = (key) => own().some((d) => d.key === key);
  const dialOf = (s, label) => ({
    veil: veil.id,
    key: s.key,
    label: label.slice(0, LABEL),
    min: s.min,
    max: s.max,
    heading: effect.dials.at(-1)?.heading ?? "",
  });
  const missing = ({ x, y, angle, length }) =>
    numbers().filter((n) => [x, y, angle, length].includes(n.key) && !is(n.key));

  function show(next, of) {
    veil = next;
    effect = of;
    const veilOf = (dial) => effect.veils.find((v) => v.id === dial.veil);
    card.show(effect.dials, {
      note: effect.note,
      heading: veil.name.slice(0, LABEL),
      setting: (dial) => numbersOf(veilOf(dial), kindOf(veilOf(dial)), sorts).find((n) => n.key === dial.key),
      value: (dial) => numberOf(veilOf(dial), dial.key),
    });
    const now = JSON.stringify([
      own(),
      own().map((d) => numberOf(veil, d.key)),
      (veil.mask.rules ?? []).map((r) => r.kind),
    ]);
    if (now === shape) return;
    shape = now;
    redrawn(table, ...own().map(row));
    const left = numbers().filter((s) => !is(s.key));
    add.replaceChildren(new Option("Make a dial of …", ""), ...left.map((s) => new Option(named(s), s.key)));
    for (const place of places().filter((p) => missing(p).length > 0))
      add.add(new Option(`Place on the picture: ${place.label.toLowerCase()}`, place.label));
  }

  function row(dial) {
    const s = numbers().find((n) => n.key === dial.key);
    const box = document.createElement("div");
    box.className = "dial-row";
    box.dataset.dial = dial.key;
    const same = (d) => d.veil === dial.veil && d.key === dial.key;
    const give = (fields) =>
      on.change(
        effect.dials.map((d) => (same(d) ? { ...d, ...fields } : d)),
        `dial “${dial.label}”`,
      );
    const label = input(
      "text",
      dial.label,
      `Label of the dial for ${named(s)}`,
      (v) => v.trim() && give({ label: v.trim() }),
    );
    label.maxLength = LABEL;
    const value = numberOf(veil, dial.key);
    const min = input("number", dial.min, `${dial.label}, from`, (v) =>
      give({ min: Math.min(value, Math.max(s.min, Number(v))) }),
    );
    const max = input("number", dial.max, `${dial.label}, to`, (v) =>
      give({ max: Math.max(value, Math.min(s.max, Number(v))) }),
    );
    const drop = quietButton("Drop", () =>
      on.change(
        effect.dials.filter((d) => !same(d)),
        `drop the dial “${dial.label}”`,
      ),
    );
    drop.setAttribute("aria-label", `Drop the dial ${dial.label}`);
    const to = Object.assign(document.createElement("span"), { textContent: "to" });
    const unit = Object.assign(document.createElement("span"), { className: "unit", textContent: s.unit });
    box.append(label, min, to, max, unit, drop);
    return box;
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

// The card of a worn effect: its note, its opacity and dials, and its veils.
import { slider } from "../../base/editors/slider.js";
import { quietButton } from "../../base/web/button.js";
import { linesOf } from "../veil/card-lines.js";
import { numberOf, numbersOf } from "../veil/numbers.js";
import { redrawn } from "../../base/web/redrawn.js";
import { veilInside } from "./inside.js";
import { coverWords, dialValue, reaches, veilState, WHOLE } from "./wearing.js";

const share = (label, start) => ({ key: "opacity", label, unit: "%", min: 0, max: 100, step: 1, start });

export class Card {
  #shown = "";
  #sliders = new Map();
  #opened = new Set(); // ids of veils whose settings are seen

  /**
   * @param find gives the element of a name within the card
   * @param kinds descriptors by id of kind
   * @param sorts of rule
   * @param on { opacity(share, rests), veil(veil, fields, rests), dial(dial, value, rests), brush(id) }
   */
  constructor(find, kinds, sorts, on) {
    Object.assign(this, { find, kinds, sorts, on });
  }

  /** Shows a worn effect, or nothing; sliders under the hand stay where they are. */
  show(piece, fitting, brushed) {
    this.find("card").hidden = !piece;
    this.find("card-empty").hidden = Boolean(piece);
    if (!piece) return;
    const worn = fitting.worn.find((w) => w.effect === piece.key);
    const states = piece.effect.veils.map((veil) => veilState(fitting, piece.key, veil));
    const words = piece.effect.veils.map((veil) => coverWords(fitting, piece, veil));
    const dials = piece.effect.dials.filter((dial) => reaches(fitting, piece, dial));
    const shape = JSON.stringify([piece.key, brushed?.of, words, dials, states.map((s) => [s.lifted, s.doubled])]);
    if (shape !== this.#shown) this.#build(piece, states, brushed, words, dials);
    this.find("brush-whole").setAttribute("aria-pressed", String(brushed?.of === WHOLE));
    this.#shown = shape;
    this.#sliders.get("effect").set(worn.opacity * 100);
    piece.effect.veils.forEach((veil, i) => this.#sliders.get(veil.id).set(states[i].opacity * 100));
    for (const dial of dials) this.#sliders.get(`${dial.veil} ${dial.key}`).set(dialValue(fitting, piece, dial));
  }

  #build(piece, states, brushed, words, left) {
    this.find("card-name").textContent = piece.name;
    const note = this.find("card-note");
    note.hidden = piece.effect.note === "";
    note.textContent = piece.effect.note;
    const start = Math.round((piece.effect.start ?? 1) * 100);
    const whole = this.#slider("effect", share("Opacity", start), (v, rests) => this.on.opacity(v / 100, rests));
    const lines = linesOf(left).map(({ dial, heading }) => (dial ? this.#dial(piece, dial).element : headed(heading)));
    redrawn(this.find("card-opacity"), whole.element, ...lines);
    redrawn(
      this.find("card-veils"),
      ...piece.effect.veils.map((veil, i) => this.#line(veil, states[i], brushed, words[i])),
    );
  }

  #dial(piece, dial) {
    const veil = piece.effect.veils.find((v) => v.id === dial.veil);
    const setting = numbersOf(veil, this.kinds.get(veil.kind), this.sorts).find((s) => s.key === dial.key);
    const own = {
      ...setting,
      group: dial.heading ?? "",
      label: dial.label,
      min: dial.min,
      max: dial.max,
      start: numberOf(veil, dial.key),
    };
    return this.#slider(`${dial.veil} ${dial.key}`, own, (v, rests) => this.on.dial(dial, v, rests));
  }

  #slider(key, setting, give) {
    const made = slider(setting, setting.start, {
      input: (v) => give(v, false),
      change: (v) => give(v, true),
    });
    this.#sliders.set(key, made);
    return made;
  }

  #line(veil, { lifted, doubled }, brushed, words) {
    const open = veil.id === brushed?.of;
    const row = document.createElement("div");
    row.className = "veil-line";
    row.dataset.kind = veil.kind;
    row.dataset.veilLine = veil.id;
    row.classList.toggle("is-woven", words.startsWith(" · brush on"));
    row.classList.toggle("is-brushed", open);
    row.classList.toggle("is-lifted", lifted);
    const inside = veilInside(veil, this.kinds.get(veil.kind), doubled, (twice) =>
      this.on.veil(veil, { doubled: twice }, true),
    );
    const name = Object.assign(document.createElement("button"), { type: "button", title: "See its settings" });
    const opens = (open) => {
      this.#opened[open ? "add" : "delete"](veil.id);
      inside.hidden = !open;
      name.setAttribute("aria-expanded", String(open));
    };
    name.addEventListener("click", () => opens(inside.hidden));
    opens(this.#opened.has(veil.id));
    name.textContent = veil.name + words + (doubled ? " · twice" : "");
    const buttons = document.createElement("span");
    if (!lifted) {
      const brush = quietButton("Brush", () => this.on.brush(veil.id));
      brush.setAttribute("aria-pressed", String(open));
      brush.setAttribute("aria-label", `Brush ${veil.name}`);
      buttons.append(brush);
    }
    const lift = quietButton(lifted ? "Let down" : "Lift", () => this.on.veil(veil, { lifted: !lifted }, true));
    lift.dataset.act = `lift ${veil.id}`;
    buttons.append(lift);
    const setting = share(`Opacity of ${veil.name}`, Math.round(veil.opacity * 100));
    const own = this.#slider(veil.id, setting, (v, rests) => this.on.veil(veil, { opacity: v / 100 }, rests));
    row.append(document.createElement("i"), name, buttons, own.element, inside);
    return row;
  }
}

/** What stands above a group of dials; a line where dials without a heading come after some that have one. */
const headed = (heading) =>
  heading === ""
    ? document.createElement("hr")
    : Object.assign(document.createElement("h3"), { className: "dial-heading", textContent: heading });

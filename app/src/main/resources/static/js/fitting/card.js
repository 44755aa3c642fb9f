// The card of a worn effect: its note, its opacity, and its veils.
import { slider } from "../editors/slider.js";
import { veilState } from "./wearing.js";

const share = (label, start) => ({ key: "opacity", label, unit: "%", min: 0, max: 100, step: 1, start });

export class Card {
  #shown = "";
  #sliders = new Map();

  /**
   * @param find gives the element of a name within the card
   * @param on { opacity(share, rests), veil(veil, fields, rests), brush(veil) }
   */
  constructor(find, on) {
    this.find = find;
    this.on = on;
  }

  /** Shows a worn effect, or nothing; sliders under the hand stay where they are. */
  show(piece, fitting, brushed) {
    this.find("card").hidden = !piece;
    this.find("card-empty").hidden = Boolean(piece);
    if (!piece) return;
    const { opacity } = fitting.worn.find((w) => w.effect === piece.key);
    const states = piece.effect.veils.map((veil) => veilState(fitting, piece.key, veil));
    const shape = JSON.stringify([piece.key, brushed?.id, states.map((s) => s.lifted)]);
    if (shape !== this.#shown) this.#build(piece, states, brushed);
    this.#shown = shape;
    this.#sliders.get("effect").set(opacity * 100);
    piece.effect.veils.forEach((veil, i) => this.#sliders.get(veil.id).set(states[i].opacity * 100));
  }

  #build(piece, states, brushed) {
    this.find("card-name").textContent = piece.name;
    const note = this.find("card-note");
    note.hidden = piece.effect.note === "";
    note.textContent = piece.effect.note;
    const whole = this.#slider("effect", share("Opacity", 100), this.on.opacity);
    this.find("card-opacity").replaceChildren(whole.element);
    const lines = piece.effect.veils.map((veil, i) => this.#line(veil, states[i], brushed));
    this.find("card-veils").replaceChildren(...lines);
  }

  #slider(key, setting, give) {
    const made = slider(setting, setting.start, {
      input: (v) => give(v / 100, false),
      change: (v) => give(v / 100, true),
    });
    this.#sliders.set(key, made);
    return made;
  }

  #line(veil, { lifted }, brushed) {
    const brushOn = veil.mask.cover === "brush-on";
    const masked = veil.mask.cover !== "everywhere";
    const row = document.createElement("div");
    row.className = "veil-line";
    row.dataset.kind = veil.kind;
    row.dataset.veilLine = veil.id;
    row.classList.toggle("is-woven", brushOn);
    row.classList.toggle("is-lifted", lifted);
    const name = document.createElement("span");
    name.textContent = veil.name + (veil.mask.cover === "by-rule" ? " · by rule" : brushOn ? ` · brush on ${veil.meantFor}`.trimEnd() : "");
    const buttons = document.createElement("span");
    if (masked && !lifted && veil.id !== brushed?.id) {
      buttons.append(button("Brush", () => this.on.brush(veil)));
    }
    buttons.append(button(lifted ? "Let down" : "Lift", () => this.on.veil(veil, { lifted: !lifted }, true)));
    const setting = share(`Opacity of ${veil.name}`, Math.round(veil.opacity * 100));
    const own = this.#slider(veil.id, setting, (v, rests) => this.on.veil(veil, { opacity: v }, rests));
    row.append(document.createElement("i"), name, buttons, own.element);
    return row;
  }
}

function button(text, run) {
  const made = document.createElement("button");
  made.type = "button";
  made.className = "button quiet small";
  made.textContent = text;
  made.addEventListener("click", run);
  return made;
}

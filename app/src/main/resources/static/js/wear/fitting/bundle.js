// A worn effect, opened in place: its veils on a rail of their own, each with its hem in this
// fitting.
import { Rail } from "../rail/rail.js";
import { coverWords, maskOf, paintable, veilState } from "./wearing.js";

const A_VEIL = 118;
const AROUND = 84;

export class Bundle {
  #piece = null;

  /** @param on { brush(id), veil(veil, fields, rests) } */
  constructor(on) {
    this.element = document.createElement("div");
    this.element.className = "open is-bundle";
    this.element.setAttribute("role", "group");
    const veils = document.createElement("div");
    veils.className = "rail-veils";
    const bar = Object.assign(document.createElement("div"), { className: "rail-bar" });
    this.element.append(bar, veils);
    const of = (id) => this.#piece.effect.veils.find((v) => v.id === id);
    this.rail = new Rail(veils, {
      pick: (id) => paintable(this.fitting, this.#piece.key, of(id)) && on.brush(id),
      hem: (id, opacity, rests) => on.veil(of(id), { opacity }, rests),
    });
  }

  /** CSS pixels that it wants. */
  get width() {
    return this.#piece.effect.veils.length * A_VEIL + AROUND;
  }

  show(piece, fitting, brushed) {
    this.#piece = piece;
    this.fitting = fitting;
    this.element.setAttribute("aria-label", `Veils of ${piece.name}`);
    const items = piece.effect.veils.map((veil) => {
      const { opacity, lifted } = veilState(fitting, piece.key, veil);
      const { cover } = maskOf(fitting, piece, veil.id);
      return {
        id: veil.id,
        name: veil.name,
        what: `${veil.kind}${coverWords(fitting, piece, veil)}${lifted ? " · lifted" : ""}`,
        kind: veil.kind,
        opacity,
        lifted,
        woven: cover === "brush-on",
        selected: veil.id === brushed?.of,
      };
    });
    this.rail.show(items);
  }
}

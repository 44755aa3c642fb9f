// What differs between a variant and the effect that it comes from; each difference can be brought
// over, and is shown on the stage while it is pointed at.
import { send } from "../web/http.js";
import { whileLookedAt } from "../web/looked-at.js";
import { sayFault } from "../web/say.js";
import { numberOf } from "../veil/numbers.js";
import { changed, dropped, setTo } from "./effect.js";

/** The effect with one difference taken over from its origin. */
export function broughtOver(effect, d) {
  switch (d.field) {
    case "settings":
      return setTo(effect, d.veil, d.key, d.value);
    case "veil": {
      if (!d.value) return dropped(effect, d.veil);
      const veils = [...effect.veils];
      veils.splice(Math.min(d.at, veils.length), 0, d.value);
      return { ...effect, veils };
    }
    case "order": {
      const place = (v) => d.value.indexOf(v.id);
      const known = effect.veils.filter((v) => place(v) >= 0).sort((a, b) => place(a) - place(b));
      return { ...effect, veils: effect.veils.map((v) => (place(v) >= 0 ? known.shift() : v)) };
    }
    case "dials":
      return d.value.reduce((next, dial) => {
        const own = numberOf(next.veils.find((v) => v.id === dial.veil), dial.key);
        const wide = { ...dial, min: Math.min(dial.min, own), max: Math.max(dial.max, own) };
        return { ...next, dials: [...next.dials, wide] };
      }, { ...effect, dials: [] });
    case "note":
      return { ...effect, note: d.value };
    default:
      return changed(effect, d.veil, { [d.field]: d.value });
  }
}

/** Lets a button open what differs; where the effect is no variant there is neither. */
export function listenVariants(dialog, button, api, on) {
  if (!dialog) return;
  const variants = new Variants(dialog, api, on);
  button.addEventListener("click", () => variants.open());
}

class Variants {
  /**
   * @param dialog element
   * @param api address of the effect
   * @param on { effect(): as it is now, saved(): promise, peek(effect | null), take(effect, label) }
   */
  constructor(dialog, api, on) {
    Object.assign(this, { dialog, api, on });
    this.rows = dialog.querySelector("[data-differences]");
    dialog.addEventListener("close", () => on.peek(null));
  }

  async open() {
    try {
      await this.on.saved();
      const { origin, differences } = await send("GET", `${this.api}/differences`);
      this.dialog.querySelector("[data-origin]").textContent = `What differs from “${origin}”`;
      this.rows.replaceChildren(...differences.map((d) => this.#row(d)));
      this.dialog.querySelector("[data-no-differences]").hidden = differences.length > 0;
      if (!this.dialog.open) this.dialog.show();
    } catch (error) {
      sayFault(error);
    }
  }

  #row(d) {
    const row = document.createElement("tr");
    for (const text of [d.name, d.label, d.theirs, d.ours]) {
      row.append(Object.assign(document.createElement("td"), { textContent: text || "–", title: text }));
    }
    const bring = Object.assign(document.createElement("button"), { type: "button", className: "button small", textContent: "Bring over" });
    bring.setAttribute("aria-label", `Bring over ${d.label} of ${d.name}`);
    const brought = () => broughtOver(this.on.effect(), d);
    whileLookedAt(row, () => this.on.peek(brought(), `With ${d.label.toLowerCase()} brought over`), () => this.on.peek(null));
    bring.addEventListener("click", () => {
      this.on.peek(null);
      this.on.take((effect) => broughtOver(effect, d), `bring over ${d.label.toLowerCase()}`);
      this.open();
    });
    const cell = document.createElement("td");
    cell.append(bring);
    row.append(cell);
    return row;
  }
}

// What differs between a variant and the effect that it comes from; each difference can be brought
// over, and is shown on the stage while it is pointed at.
import { send } from "../../base/web/http.js";
import { whileLookedAt } from "../../base/web/looked-at.js";
import { redrawn } from "../../base/web/redrawn.js";
import { sayFault } from "../../base/web/say.js";
import { numberOf } from "../../wear/veil/numbers.js";
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
      return d.value.reduce(
        (next, dial) => {
          const own = numberOf(
            next.veils.find((v) => v.id === dial.veil),
            dial.key,
          );
          const wide = { ...dial, min: Math.min(dial.min, own), max: Math.max(dial.max, own) };
          return { ...next, dials: [...next.dials, wide] };
        },
        { ...effect, dials: [] },
      );
    case "note":
    case "start":
    case "madeFor":
      return { ...effect, [d.field]: d.value };
    default:
      return changed(effect, d.veil, { [d.field]: d.value });
  }
}

/** Lets a button show what differs beside the photo; where the effect is no variant there is neither. */
export function listenVariants(column, button, api, on) {
  if (!button) return;
  const variants = new Variants(column, button, api, on);
  button.addEventListener("click", () => variants.open());
}

class Variants {
  /**
   * @param column beside the photo
   * @param button that opens it
   * @param api address of the effect
   * @param on { effect(): as it is now, saved(): promise, peek(effect | null), take(effect, label) }
   */
  constructor(column, button, api, on) {
    Object.assign(this, { column, button, api, on });
    const find = (name) => column.root.querySelector(`[data-${name}]`);
    Object.assign(this, { rows: find("differences"), origin: find("origin"), none: find("no-differences") });
    find("variants-close").addEventListener("click", () => {
      column.leave();
      button.focus();
    });
    column.looked((shown) => {
      button.setAttribute("aria-expanded", String(shown === "variants"));
      if (shown !== "variants") on.peek(null);
    });
  }

  async open() {
    try {
      await this.on.saved();
      const { origin, differences } = await send("GET", `${this.api}/differences`);
      this.origin.textContent = `What differs from “${origin}”`;
      redrawn(this.rows, ...differences.map((d) => this.#row(d)));
      this.none.hidden = differences.length > 0;
      this.column.look("variants");
    } catch (error) {
      sayFault(error);
    }
  }

  #row(d) {
    const row = document.createElement("li");
    const words = (tag, textContent) => Object.assign(document.createElement(tag), { textContent });
    const values = words("span", `${d.theirs || "–"} there, ${d.ours || "–"} here`);
    values.title = values.textContent;
    const bring = Object.assign(document.createElement("button"), {
      type: "button",
      className: "button small",
      textContent: "Bring over",
    });
    bring.setAttribute("aria-label", `Bring over ${d.label} of ${d.name}`);
    const brought = () => broughtOver(this.on.effect(), d);
    whileLookedAt(
      row,
      () => this.on.peek(brought(), `With ${d.label.toLowerCase()} brought over`),
      () => this.on.peek(null),
    );
    bring.addEventListener("click", () => {
      this.on.peek(null);
      this.on.take((effect) => broughtOver(effect, d), `bring over ${d.label.toLowerCase()}`);
      this.open();
    });
    row.append(words("b", `${d.name}: ${d.label.toLowerCase()}`), bring, values);
    return row;
  }
}

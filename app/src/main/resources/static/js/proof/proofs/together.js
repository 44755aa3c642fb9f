// Effects two at a time: pairs that pass a limit, worst first, and pairs whose order matters.
import { sayFault } from "../../base/web/say.js";
import { found } from "./searching.js";
import { verdictLine } from "../../photo/readings/verdicts.js";

export class Together {
  constructor(box, kit, names, measures) {
    Object.assign(this, { box, kit, names, measures });
    const find = (name) => box.querySelector(`[data-together-${name}]`);
    Object.assign(this, { find });
    find("start").addEventListener("click", () => this.#start());
  }

  async #start() {
    const button = this.find("start");
    button.disabled = true;
    try {
      const what = await found({ search: "together", kit: this.kit }, (how) => (this.find("how").textContent = how));
      if (what) this.#show(what);
    } catch (error) {
      sayFault(error);
    } finally {
      button.disabled = false;
    }
  }

  #show({ photos, pairs, worst, order }) {
    const on = photos.map((id) => this.names.photo(id)?.name).join(", ");
    const over = worst.filter((w) => w[3] === "over").length;
    this.find("said").textContent =
      `${pairs} proofs of two effects on ${photos.length} photos that differ most: ${on}. ${over} over, ${worst.length - over} near.`;
    this.find("worst").replaceChildren(...worst.map((w) => this.#row(w)));
    this.find("order-head").hidden = order.length === 0;
    this.find("order").replaceChildren(
      ...order.map(([one, two, by]) => {
        const row = document.createElement("li");
        row.append(
          Object.assign(document.createElement("span"), {
            textContent: `${this.names.effect(one)?.name} under ${this.names.effect(two)?.name}`,
          }),
          Object.assign(document.createElement("b"), { textContent: `ΔE ${by.toFixed(1)} when swapped` }),
        );
        return row;
      }),
    );
  }

  #row([one, two, photo, state, measure, value, share]) {
    const row = document.createElement("li");
    row.className = "of-two";
    const link = Object.assign(document.createElement("div"), { className: "of-two-picture" });
    link.append(
      Object.assign(new Image(), {
        alt: "",
        loading: "lazy",
        src: `/proofs/pictures/two?one=${one}&two=${two}&photo=${photo}`,
      }),
    );
    const line = verdictLine({ state, measure, value, share, words: "" }, this.measures);
    if (line) link.append(line);
    const words = document.createElement("p");
    words.append(
      Object.assign(document.createElement("b"), {
        textContent: `${this.names.effect(one)?.name} + ${this.names.effect(two)?.name}`,
      }),
      ` on ${this.names.photo(photo)?.name}`,
    );
    row.append(link, words);
    return row;
  }
}

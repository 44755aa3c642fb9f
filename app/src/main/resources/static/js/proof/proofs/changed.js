// What has moved since the sheet was approved: before, now, the difference, and accepting it.
import { send } from "../../base/web/http.js";
import { sayFault } from "../../base/web/say.js";
import { verdictLine } from "../../photo/readings/verdicts.js";

const picture = (src, words) => {
  const figure = document.createElement("figure");
  figure.append(
    Object.assign(new Image(), { alt: words, src, loading: "lazy" }),
    Object.assign(document.createElement("figcaption"), { textContent: words }),
  );
  return figure;
};

export class Changed {
  /** @param names { effect(id), photo(id) } ; on { open(effect, photo), undone(sentence) } */
  constructor(box, kit, names, measures, on) {
    Object.assign(this, { box, kit, names, measures, on });
    this.list = box.querySelector("[data-changed-list]");
    this.said = box.querySelector("[data-changed-said]");
    this.all = box.querySelector("[data-changed-all]");
    this.all.addEventListener("click", () => this.#accept(this.answer.moved));
  }

  async open() {
    try {
      this.#show(await send("GET", `/api/proofs/${this.kit}/changed`));
    } catch (error) {
      sayFault(error);
    }
  }

  #show(answer) {
    this.answer = answer;
    this.box.querySelector("[data-changed-approve]").hidden = answer.approved;
    this.all.hidden = !answer.approved || answer.moved.length === 0;
    if (!answer.approved) {
      this.said.textContent =
        "No sheet of this kit was approved yet. Approve it when it is right: afterwards only what moved is shown here.";
      this.list.replaceChildren();
      return;
    }
    const more = [
      [answer.fresh, "new since then"],
      [answer.gone, "gone since then"],
      [answer.missing, "not rendered yet"],
    ]
      .filter(([n]) => n > 0)
      .map(([n, words]) => `${n} ${words}`);
    const moved =
      answer.moved.length === 0
        ? "Nothing has moved"
        : `${answer.moved.length} ${answer.moved.length === 1 ? "proof has" : "proofs have"} moved by more than ΔE ${answer.bound}`;
    this.said.textContent = [
      `${moved} since ${new Date(answer.at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" })}, engine edition ${answer.edition}`,
      ...more,
    ].join("; ");
    this.list.replaceChildren(...answer.moved.map((line) => this.#row(line)));
  }

  #row(line) {
    const [by, where, , effect, photo, state, measure, value, share, words, before] = line;
    const row = document.createElement("li");
    row.dataset.moved = `${effect}:${photo}`;
    const approved = `/proofs/${this.kit}/approved/${effect}/${photo}`;
    const head = document.createElement("header");
    head.append(
      Object.assign(document.createElement("b"), {
        textContent: `${this.names.effect(effect)?.name} on ${this.names.photo(photo)?.name}`,
      }),
      Object.assign(document.createElement("span"), {
        textContent: `ΔE ${by.toFixed(1)}${where ? ` on ${where}` : ""}${before === state ? "" : `; was ${before}`}`,
      }),
    );
    const now = picture(`/proofs/pictures/${effect}/${photo}`, "now");
    const verdict = verdictLine({ state, measure, value, share, words }, this.measures);
    if (verdict) now.append(verdict);
    const pictures = document.createElement("div");
    pictures.className = "three";
    pictures.append(picture(approved, "approved"), now, picture(`${approved}/difference`, "difference × 8"));
    const ends = document.createElement("div");
    ends.className = "ends";
    const accept = Object.assign(document.createElement("button"), {
      type: "button",
      className: "button small",
      textContent: "Accept",
    });
    accept.addEventListener("click", () => this.#accept([line]));
    const open = Object.assign(document.createElement("button"), {
      type: "button",
      className: "button quiet small",
      textContent: "Open its card",
    });
    open.addEventListener("click", () => this.on.open(effect, photo));
    ends.append(accept, open);
    row.append(head, pictures, ends);
    return row;
  }

  async #accept(lines) {
    try {
      const cells = lines.map(([, , , effect, photo]) => ({ effect, photo }));
      this.#show(await send("POST", `/api/proofs/${this.kit}/changed/accept`, { cells }));
      this.on.undone(
        lines.length === 1 ? "It stands as approved now." : `${lines.length} proofs stand as approved now.`,
      );
    } catch (error) {
      sayFault(error);
    }
  }
}

// What a collection changes for those who have the release before, with pictures and how far it moves.
import { element } from "../web/element.js";
import { send } from "../web/http.js";

const SAID = { "same-look": ["looks as before", "look as before"], new: ["new", "new"], look: ["looks different", "look different"], gone: ["taken out", "taken out"] };

/** How many there are of each sort, in words. */
export function summary(changes) {
  const parts = Object.entries(SAID).flatMap(([sort, [one, many]]) => {
    const n = changes.filter((c) => c.sort === sort).length;
    return n === 0 ? [] : [`${n} ${n === 1 ? one : many}`];
  });
  return parts.join(", ");
}

export const sentenceOf = ({ name, where, words, word }) => [where ? `${name} (${where})` : name, words.join("; ") || word].join(": ");

export class SinceList {
  #asked = 0;

  /** @param use (version): takes the proposed one */
  constructor(root, id, use) {
    Object.assign(this, { root, id, use });
    this.find = (name) => root.querySelector(`[data-since${name}]`);
  }

  async look(version) {
    const asked = ++this.#asked;
    const { last, least, changes = [] } = await send("GET", `/api/collections/${this.id}/since`);
    if (asked !== this.#asked) return;
    this.find("-head").textContent = last ? `Since ${last}` : "Since the last release";
    this.find("-said").replaceChildren(...this.#said(last, least, changes, version));
    this.find("").replaceChildren(...changes.map((c, n) => this.#line(c, n, asked)));
  }

  #said(last, least, changes, version) {
    if (!last) return ["Nothing of it was packed yet."];
    if (changes.length === 0) return ["Nothing has changed."];
    const take = element("button", { type: "button", className: "button small", textContent: `Call it ${least}` });
    take.addEventListener("click", () => this.use(least));
    return [`${summary(changes)}: at least `, element("b", { textContent: least }), ". ", ...(version === least ? [] : [take])];
  }

  #line(change, n, asked) {
    const picture = (side) => Object.assign(new Image(), { alt: side === "old" ? "Before" : "Now", loading: "lazy", src: `/collections/${this.id}/since/${n}/${side}?of=${asked}-${Date.now()}` });
    const pictures = element("span", { className: "since-two" }, ...(change.old ? [picture("old")] : []), ...(change.now ? [picture("now")] : []));
    const by = element("b", { className: "since-by", textContent: change.word });
    if (change.sort === "look") {
      by.textContent = "…";
      send("GET", `/api/collections/${this.id}/since/${n}`).then(
        (moved) => (by.textContent = `ΔE ${moved.by.toFixed(1)}`),
        () => (by.textContent = change.word),
      );
    }
    const words = element("span", { className: "since-words" }, element("b", { textContent: change.name }), element("small", { textContent: change.words.join("; ") || change.where }));
    const line = element("li", {}, pictures, words, by);
    line.dataset.sort = change.sort;
    return line;
  }
}

// What a collection changes for those who have the release before, with pictures and how far it moves.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";

const SAID = {
  "same-look": ["looks as before", "look as before"],
  new: ["new", "new"],
  look: ["looks different", "look different"],
  gone: ["taken out", "taken out"],
};

/** How many there are of each sort, in words. */
export function summary(changes) {
  const parts = Object.entries(SAID).flatMap(([sort, [one, many]]) => {
    const n = changes.filter((c) => c.sort === sort).length;
    return n === 0 ? [] : [`${n} ${n === 1 ? one : many}`];
  });
  return parts.join(", ");
}

/** How many photos wear what changes; empty where nobody counted. */
function worn(photos = []) {
  if (photos.length === 0) return "";
  return photos.length === 1 ? "one photo wears it" : `${photos.length} photos wear it`;
}

export class SinceList {
  #asked = 0;

  /**
   * @param root holds [data-since-head], [data-since-said] and [data-since]
   * @param pictures whether there is a photo to show changes on
   */
  constructor(root, { pictures = true } = {}) {
    Object.assign(this, { root, pictures });
    this.find = (name) => root.querySelector(`[data-since${name}]`);
  }

  /**
   * Shows what an address tells: last, changes, and each of them under its number.
   * @param head (told) → heading, @param said (told) → what goes before the list
   * @returns what was told; null where another was asked for meanwhile
   */
  async look(address, head, said) {
    const asked = ++this.#asked;
    const told = await send("GET", `/api${address}`);
    if (asked !== this.#asked) return null;
    const { changes = [] } = told;
    this.find("-head").textContent = head(told);
    this.find("-said").replaceChildren(...said({ ...told, changes }));
    this.find("").replaceChildren(...changes.map((c, n) => this.#line(c, `${address}/${n}`, asked)));
    return told;
  }

  #line(change, address, asked) {
    const picture = (side, photo) =>
      Object.assign(new Image(), {
        alt: side === "old" ? "Before" : "Now",
        loading: "lazy",
        src: `${address}/${side}?of=${asked}-${Date.now()}${photo ? `&photo=${photo}` : ""}`,
      });
    const shown = (side, photo) => (this.pictures && change[side] ? [picture(side, photo)] : []);
    const two = (photo) => element("span", { className: "since-two" }, ...shown("old", photo), ...shown("now", photo));
    const pictures = element(
      "span",
      { className: "since-photos" },
      ...(change.photos?.length ? change.photos : [0]).map(two),
    );
    const by = element("b", { className: "since-by", textContent: change.word });
    if (change.sort === "look" && this.pictures) {
      by.textContent = "…";
      send("GET", `/api${address}`).then(
        (moved) => (by.textContent = `ΔE ${moved.by.toFixed(1)}`),
        () => (by.textContent = change.word),
      );
    }
    const words = element(
      "span",
      { className: "since-words" },
      element("b", { textContent: change.name }),
      element("small", {
        textContent: [change.words.join("; ") || change.where, worn(change.photos)].filter(Boolean).join(" · "),
      }),
    );
    const line = element("li", {}, pictures, words, by);
    line.dataset.sort = change.sort;
    return line;
  }
}

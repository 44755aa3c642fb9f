// What went farthest over its limit, as a list that leads to each.
import { verdictLine } from "../../photo/readings/verdicts.js";

const MOST = 40;

/** @param keys of cells, the farthest first ; @returns items of a list */
export function farthestList(keys, cells, names, measures, open) {
  return keys.slice(0, MOST).map((key) => {
    const [effect, photo] = key.split(":").map(Number);
    const item = document.createElement("li");
    const button = Object.assign(document.createElement("button"), { type: "button" });
    button.dataset.far = key;
    const words = document.createElement("span");
    words.append(
      Object.assign(document.createElement("b"), { textContent: names.effect(effect)?.name }),
      ` on ${names.photo(photo)?.name}`,
    );
    const small = Object.assign(new Image(), { alt: "", loading: "lazy", src: `/proofs/pictures/${effect}/${photo}` });
    button.append(small, words, verdictLine(cells.get(key), measures));
    button.addEventListener("click", () => open(effect, photo));
    item.append(button);
    return item;
  });
}

// What the photo wears of other kits or collections, which is not seen here: where it is, and both together.
import { quietButton } from "../../base/web/button.js";
import { send } from "../../base/web/http.js";
import { leaveTo } from "../../base/web/leaving.js";
import { sayFault } from "../../base/web/say.js";

/**
 * @param box element that tells of it
 * @param choose the list of wardrobes, whose entries are marked
 * @param page { wardrobe, base, empty(): whether nothing is worn here }
 * @returns show(elsewhere): [{ id, wardrobe, title, worn }]
 */
export function wornElsewhere(box, choose, { wardrobe, base, empty }) {
  async function both(one) {
    try {
      await send("POST", `/api/fittings/${one.id}/together`, { wardrobe });
      leaveTo(`${base}${one.id}`);
    } catch (fault) {
      sayFault(fault);
    }
  }

  function told(one) {
    const line = document.createElement("p");
    line.append(`Not seen here: ${one.worn} ${one.worn === 1 ? "effect" : "effects"} of ${one.title}. `);
    const ways = document.createElement("span");
    ways.append(quietButton("Go on there", () => leaveTo(`${base}${one.id}`)));
    if (empty()) ways.append(quietButton("Wear both", () => both(one)));
    line.append(ways);
    return line;
  }

  return (all) => {
    box.replaceChildren(...all.map(told));
    box.hidden = all.length === 0;
    const worn = new Map(all.map((one) => [one.wardrobe, one.worn]));
    for (const option of choose.options) {
      const n = worn.get(option.dataset.wardrobe);
      option.text = n ? `${option.dataset.title} · ${n} on` : option.dataset.title;
    }
  };
}

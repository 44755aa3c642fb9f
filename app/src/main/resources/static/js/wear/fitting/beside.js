// What stands beside the photo: effects on offer, the look on other photos, and what else the photo wears.
import { wornElsewhere } from "./elsewhere.js";
import { ownLooks } from "./looks.js";
import { Offers } from "./offers.js";
import { onward } from "./onward.js";

/**
 * @param root element of the page
 * @param held what the page holds
 * @param f { state, photos, ask(path, body), undo(redo, edit), pins(): those of the photo }
 */
export function beside(root, held, { state, photos, ask, undo, pins }) {
  const isBare = () => held.fitting.worn.length === 0;
  const offers = new Offers(root.querySelector(".offers"), {
    isWorn: (key) => held.isWorn(key),
    isLaidBy: (key) => held.isLaidBy(key),
    try: (key) => held.try(key),
    async wear(key) {
      await photos.there; // a click on the way to another photo is for that one
      held.tried();
      if (held.isWorn(key)) return held.open(key);
      held.open(key, false);
      return ask("wear", { effect: key });
    },
    wearAll: (section, lifted) => ask("wear-all", { section, lifted }),
    takeSection: (section) => ask("take-off-section", { section }),
    resetSection: (section) => ask("reset-section", { section }),
  });
  const elsewhere = wornElsewhere(root.querySelector("[data-elsewhere]"), document.querySelector("[data-go]"), {
    wardrobe: state.wardrobe,
    base: held.base,
    empty: isBare,
  });
  const passing = onward(root.querySelector(".offers"), {
    ...{ state, photos, store: held.store, undo, pins },
    worn: () => !isBare(),
  });
  const looks = root.querySelector("[data-looks-kept]"); // at the desk
  if (looks)
    ownLooks(looks, document.querySelector("[data-look-keep]"), {
      ...{ state, store: held.store, photos, ask, names: held.names },
      open: document.querySelector("[data-look-open]"),
      fitting: () => held.fitting,
      peek: (body, words) => held.peek(body, words),
    });
  return { offers, passing, elsewhere };
}

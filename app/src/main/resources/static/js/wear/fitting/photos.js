// The photos that a fitting can go on with; each has a fitting of its own, which is shown in the place of
// the one before.
import { filled } from "../../photo/photos/strip.js";
import { send } from "../../base/web/http.js";
import { sayFault } from "../../base/web/say.js";

export class Photos {
  /** When the fitting of the photo that was chosen last is shown. */
  there = Promise.resolve();

  /**
   * @param strip element that takes a button a photo
   * @param state { photo: id of the one that is shown, wardrobe }
   * @param on { leaving(): before another photo comes, settled(): promise of all being stored, shown(state)
   *   of the fitting of another photo }
   */
  constructor(strip, state, on) {
    Object.assign(this, { state, on });
    this.all = filled(strip);
    this.photo = this.all.find((p) => p.id === state.photo);
    this.wanted = this.photo;
    for (const photo of this.all) photo.button.addEventListener("click", () => this.#goTo(photo));
    this.#mark();
  }

  #mark() {
    for (const photo of this.all) photo.button.setAttribute("aria-current", String(photo === this.wanted));
    this.wanted.button.scrollIntoView({ block: "nearest", inline: "nearest" });
  }

  /** Those that are not shown: [[id, name] …]. */
  get others() {
    return this.all.filter((p) => p !== this.photo).map(({ id, name }) => [id, name]);
  }

  neighbour(step) {
    const { all } = this;
    this.#goTo(all[(all.indexOf(this.wanted) + step + all.length) % all.length]);
  }

  #goTo(photo) {
    if (photo === this.wanted) return;
    this.wanted = photo;
    this.#mark();
    this.on.leaving();
    this.there = this.#show(photo);
  }

  /** The fitting before is stored first; of several photos that are chosen quickly the last one is shown. */
  async #show(photo) {
    const address = `/api/fittings/of?wardrobe=${encodeURIComponent(this.state.wardrobe)}&photo=${photo.id}`;
    try {
      const [state] = await Promise.all([send("GET", address), this.on.settled()]);
      if (this.wanted !== photo) return this.there;
      this.#shown(photo, state);
    } catch (fault) {
      if (this.wanted !== photo) return this.there;
      this.wanted = this.photo;
      this.#mark();
      sayFault(fault);
    }
  }

  /** Where the other one cannot be shown yet, the one before stays in all that asks for it. */
  #shown(photo, state) {
    const before = this.photo;
    this.photo = photo;
    try {
      this.on.shown(state);
    } catch (fault) {
      this.photo = before;
      throw fault;
    }
  }
}

// The photos that a fitting can go on with; each has a fitting of its own, with a page of its own.
import { filled } from "../photos/strip.js";
import { leaveTo } from "../web/leaving.js";

export class Photos {
  /**
   * @param strip element that takes a button a photo
   * @param state { photo: id of the one that is shown, wardrobe }
   * @param base address of fittings
   * @param leaving called before another photo comes
   */
  constructor(strip, state, base, leaving) {
    Object.assign(this, { state, base, leaving });
    this.all = filled(strip);
    this.photo = this.all.find((p) => p.id === state.photo);
    for (const photo of this.all) {
      photo.button.setAttribute("aria-current", String(photo === this.photo));
      photo.button.addEventListener("click", () => this.#goTo(photo));
    }
    this.photo.button.scrollIntoView({ block: "nearest", inline: "nearest" });
  }

  /** Those that are not shown: [[id, name] …]. */
  get others() {
    return this.all.filter((p) => p !== this.photo).map(({ id, name }) => [id, name]);
  }

  neighbour(step) {
    const { all } = this;
    this.#goTo(all[(all.indexOf(this.photo) + step + all.length) % all.length]);
  }

  #goTo({ id }) {
    this.leaving();
    leaveTo(`${this.base}of?wardrobe=${encodeURIComponent(this.state.wardrobe)}&photo=${id}`);
  }
}

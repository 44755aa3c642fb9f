// The photos that a fitting can go on with; each has a fitting of its own, which is shown in the place of
// the one before.
import { filled } from "../../photo/photos/strip.js";
import { send } from "../../base/web/http.js";
import { sayFault } from "../../base/web/say.js";

export class Photos {
  /** When the fitting of the photo that was chosen last is shown. */
  there = Promise.resolve();

  /** When the look that was passed on last is stored. */
  #passed = Promise.resolve();

  /** Photos that are ticked; null while a click goes to one. */
  ticked = null;

  /**
   * @param strip element that takes a button a photo
   * @param state { photo: id of the one that is shown, wardrobe }
   * @param on { leaving(): before another photo comes, settled(): promise of all being stored, shown(state)
   *   of the fitting of another photo, ticked(): where others are ticked }
   */
  constructor(strip, state, on) {
    Object.assign(this, { state, on });
    this.all = filled(strip);
    this.photo = this.all.find((p) => p.id === state.photo);
    this.wanted = this.photo;
    this.strip = strip;
    for (const photo of this.all) photo.button.addEventListener("click", () => this.#clicked(photo));
    this.#mark();
  }

  #clicked(photo) {
    if (!this.ticked) return this.#goTo(photo);
    if (photo === this.photo) return;
    if (!this.ticked.delete(photo)) this.ticked.add(photo);
    this.#tick();
  }

  /** Begins or ends ticking; a list ticks those. @param photos null to end */
  tick(photos) {
    this.ticked = photos && new Set(photos);
    this.strip.classList.toggle("is-ticking", Boolean(photos));
    this.#tick();
  }

  #tick() {
    for (const photo of this.all) {
      if (this.ticked) photo.button.setAttribute("aria-pressed", String(this.ticked.has(photo)));
      else photo.button.removeAttribute("aria-pressed");
    }
    this.on.ticked();
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
    this.#goTo(this.#beside(step));
  }

  #beside(step) {
    const { all } = this;
    return all[(all.indexOf(this.wanted) + step + all.length) % all.length];
  }

  /** The photo before this one in the strip; undefined for the first. */
  get before() {
    return this.all[this.all.indexOf(this.photo) - 1];
  }

  /** Goes to the next photo and lets it wear what this one does. */
  nextWearing() {
    const from = this.wanted;
    this.#goTo(this.#beside(1), (photo) => this.#pass(from, photo));
  }

  /** One look after the other: of photos that are passed quickly each wears what the one before was given. */
  #pass(from, photo) {
    const body = { wardrobe: this.state.wardrobe, photo: photo.id, as: from.id };
    const before = this.#passed;
    const passed = Promise.all([before, this.on.settled()]).then(() => send("POST", "/api/fittings/as-on", body));
    this.#passed = passed.catch(() => {}); // told where it is waited for
    return passed;
  }

  #goTo(photo, ask = (one) => this.#fitting(one)) {
    if (photo === this.wanted) return;
    if (this.ticked) this.tick(null);
    this.wanted = photo;
    this.#mark();
    this.on.leaving();
    this.there = this.#show(photo, ask);
  }

  #fitting(photo) {
    return send("GET", `/api/fittings/of?wardrobe=${encodeURIComponent(this.state.wardrobe)}&photo=${photo.id}`);
  }

  /** The fitting before is stored first; of several photos that are chosen quickly the last one is shown. */
  async #show(photo, ask) {
    try {
      const [state] = await Promise.all([ask(photo), this.on.settled()]);
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

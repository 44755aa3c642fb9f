// What the kit offers, section by section: found by name, marked as favourites, shown on the photo
// while pointed at, put on by a click, or a whole section at once.
import { favour } from "../../base/web/favour.js";
import { sayFault } from "../../base/web/say.js";

const TRY_AFTER_MS = 90;

export class Offers {
  /**
   * @param root element with the sections
   * @param on { isWorn(key), isLaidBy(key): whether it comes back as it was, try(key | null), wear(key): puts it
   *   on, or opens it, wearAll(section, lifted), takeSection(section), resetSection(section) }
   */
  constructor(root, on) {
    this.root = root;
    this.on = on;
    this.pieces = new Map([...root.querySelectorAll("[data-piece]")].map((b) => [b.dataset.piece, b]));
    for (const [key, button] of this.pieces) this.#listen(key, button);
    for (const star of root.querySelectorAll("[data-favour]")) star.addEventListener("click", () => this.#favour(star));
    for (const menu of root.querySelectorAll("[data-wear-all]")) {
      menu.addEventListener("click", () => on.wearAll(Number(menu.dataset.section), menu.dataset.wearAll === "lifted"));
    }
    for (const button of root.querySelectorAll("[data-reset-section]")) {
      button.addEventListener("click", () => on.resetSection(Number(button.dataset.section)));
    }
    for (const button of root.querySelectorAll("[data-take-section]")) {
      button.addEventListener("click", () => on.takeSection(Number(button.dataset.section)));
    }
    this.search = root.querySelector("[data-find]");
    this.search.addEventListener("input", () => this.#filter());
    this.only = root.querySelector("[data-only-favourites]");
    this.only?.addEventListener("click", () => {
      this.only.setAttribute("aria-pressed", String(this.only.getAttribute("aria-pressed") !== "true"));
      this.#filter();
    });
    this.#begin();
  }

  /** Brings the effect under the keys that the address names, as a page of the search does. */
  #begin() {
    const key = /^#effect=(.+)$/.exec(decodeURIComponent(location.hash))?.[1];
    const piece = this.pieces.get(key);
    if (!piece) return;
    piece.scrollIntoView({ block: "center" });
    piece.focus({ focusVisible: true });
  }

  /** Takes in an effect that was just kept: last of its section; or one that was replaced. */
  take({ key, effect, number, replaced }, name, photo) {
    const small = `/effects/${effect}/small?photo={photo}`;
    const address = small.replace("{photo}", photo);
    if (replaced) {
      this.pieces.get(key)?.querySelector("img").setAttribute("src", `${address}&again=${Date.now()}`);
      return;
    }
    const box = this.root.querySelector(`[data-number="${number}"] .offer:not(.is-step)`)?.cloneNode(true);
    if (!box) return;
    const [button, star] = [box.querySelector(".piece"), box.querySelector(".star")];
    button.dataset.piece = key;
    button.querySelector("span").textContent = name;
    const picture = button.querySelector("img");
    picture.dataset.small = small;
    picture.src = address;
    Object.assign(star.dataset, { favour: `/api/effects/${effect}/favourite?` });
    star.setAttribute("aria-pressed", "false");
    star.setAttribute("aria-label", `Favourite: ${name}`);
    star.addEventListener("click", () => this.#favour(star));
    this.pieces.set(key, button);
    this.#listen(key, button);
    this.root.querySelector(`[data-number="${number}"] .pieces`).append(box);
    this.show();
  }

  show() {
    for (const [key, button] of this.pieces) {
      button.setAttribute("aria-pressed", String(this.on.isWorn(key)));
      const laidBy = this.on.isLaidBy(key);
      button.classList.toggle("is-laid-by", laidBy);
      if (laidBy) button.setAttribute("aria-description", "As you had it on this photo");
      else button.removeAttribute("aria-description");
    }
    for (const scale of this.root.querySelectorAll(".scale")) nameStep(scale, null);
  }

  #listen(key, button) {
    const scale = button.closest(".scale");
    const begin = () => {
      if (scale) nameStep(scale, button);
      clearTimeout(this.pointing);
      if (!this.on.isWorn(key)) this.pointing = setTimeout(() => this.on.try(key), TRY_AFTER_MS);
    };
    const end = () => {
      if (scale) nameStep(scale, null);
      clearTimeout(this.pointing);
      this.on.try(null);
    };
    button.addEventListener("pointerenter", begin);
    button.addEventListener("pointerleave", end);
    button.addEventListener("focus", () => button.matches(":focus-visible") && begin());
    button.addEventListener("blur", end);
    button.addEventListener("click", () => {
      clearTimeout(this.pointing);
      this.on.wear(key).catch(sayFault);
    });
    button.addEventListener("keydown", (event) => {
      const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
      if (!step) return;
      const all = [...this.pieces.values()].filter((b) => b.offsetParent);
      all[all.indexOf(button) + step]?.focus({ focusVisible: true });
      event.preventDefault();
    });
  }

  async #favour(star) {
    await favour(star);
    this.#filter();
  }

  #filter() {
    const words = this.search.value.trim().toLowerCase();
    const only = this.only?.getAttribute("aria-pressed") === "true";
    let found = 0;
    for (const section of this.root.querySelectorAll("[data-offers], [data-looks-kept]")) {
      let any = false;
      for (const box of section.querySelectorAll(".offer")) {
        const star = box.querySelector("[data-favour]");
        const fits =
          box.textContent.toLowerCase().includes(words) &&
          (!only || (star?.getAttribute("aria-pressed") ?? box.dataset.favourite) === "true");
        box.hidden = !fits;
        any ||= fits;
        found += fits ? 1 : 0;
      }
      section.hidden = !any;
    }
    this.root.querySelector("[data-none-found]").hidden = found > 0;
  }
}

/** Names the step of a scale that is pointed at, or else the one that is worn. */
function nameStep(scale, step) {
  const named = step ?? scale.querySelector("[aria-pressed=true]");
  scale.querySelector("[data-scale-name]").textContent = named?.title ?? "";
}

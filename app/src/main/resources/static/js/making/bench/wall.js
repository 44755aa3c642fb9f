// The strip of test photos beside the bench: which one is shown.

import { filled } from "../../photo/photos/strip.js";

const KEPT = "nine-veils-photo";

export class Wall {
  /**
   * @param strip element with the photos
   * @param first id of the photo to begin with
   * @param on { chosen(photo) }
   */
  constructor(strip, first, on) {
    this.on = on;
    this.photos = filled(strip);
    for (const one of this.photos) one.button.addEventListener("click", () => this.choose(one));
    this.photo = this.photos.find((p) => p.id === first) ?? this.photos[0];
    this.#mark();
  }

  /** Goes on with the photo that was looked at last, where the address names none. @returns whether it does */
  goOn() {
    const kept = Number(sessionStorage.getItem(KEPT));
    const last = new URLSearchParams(location.search).has("photo") ? null : this.photos.find((p) => p.id === kept);
    if (!last || last === this.photo) return false;
    this.choose(last);
    return true;
  }

  choose(next) {
    if (!next || next === this.photo) return;
    sessionStorage.setItem(KEPT, next.id);
    this.photo = next;
    this.#mark();
    this.on.chosen(next);
  }

  neighbour(step) {
    const all = this.photos;
    this.choose(all[(all.indexOf(this.photo) + step + all.length) % all.length]);
  }

  /** Lets what the page says be about the photo that is shown. */
  showLinks() {
    const { id, width, height } = this.photo;
    document.querySelector("[data-photo-size]").textContent = `${width} × ${height}`;
    const fitting = document.querySelector("[data-fitting]");
    fitting.href = fitting.href.replace(/&photo=\d+|$/, `&photo=${id}`);
  }

  #mark() {
    for (const p of this.photos) p.button.setAttribute("aria-current", String(p === this.photo));
    this.photo.button.scrollIntoView({ block: "nearest" });
  }
}

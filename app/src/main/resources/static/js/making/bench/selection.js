// Several veils picked at once: lifted, dropped or moved together.
import { changed, dropped, movedTogether } from "./effect.js";

export class Selection {
  #ids = new Set();
  #last = null;

  /**
   * @param bar element that shows what can be done
   * @param on { effect(), take(effect, label), changed() }
   */
  constructor(bar, on) {
    this.bar = bar;
    this.on = on;
    const run = {
      lift: () => this.lift(),
      drop: () => this.drop(),
      left: () => this.move(-1),
      right: () => this.move(1),
      done: () => this.clear(),
    };
    for (const button of bar.querySelectorAll("[data-do]")) button.addEventListener("click", run[button.dataset.do]);
  }

  has(id) {
    return this.#ids.has(id);
  }

  /** Ids in the order of the rail; those that are gone are forgotten. */
  get #picked() {
    return this.on
      .effect()
      .veils.map((v) => v.id)
      .filter((id) => this.#ids.has(id));
  }

  toggle(id, range) {
    const all = this.on.effect().veils.map((v) => v.id);
    if (range && this.#last) {
      const [a, b] = [all.indexOf(this.#last), all.indexOf(id)].sort((x, y) => x - y);
      for (const one of all.slice(Math.max(0, a), b + 1)) this.#ids.add(one);
    } else if (!this.#ids.delete(id)) this.#ids.add(id);
    this.#last = id;
    this.#show();
  }

  /** @returns whether anything was picked */
  clear() {
    const any = this.#ids.size > 0;
    this.#ids.clear();
    if (any) this.#show();
    return any;
  }

  #show() {
    const n = this.#picked.length;
    this.bar.hidden = n === 0;
    this.bar.querySelector("[data-picked]").textContent = `${n} picked`;
    this.on.changed();
  }

  /** Lifts them, or lets them down where all are lifted. */
  lift() {
    const ids = this.#picked;
    if (ids.length === 0) return false;
    const down = ids.every((id) => this.on.effect().veils.find((v) => v.id === id).lifted);
    const all = (effect) => ids.reduce((next, id) => changed(next, id, { lifted: !down }), effect);
    this.on.take(all, `${down ? "let down" : "lift"} ${ids.length} veils`);
    return true;
  }

  drop() {
    const ids = this.#picked;
    if (ids.length === 0) return false;
    this.#ids.clear();
    this.on.take((effect) => dropped(effect, ...ids), `drop ${ids.length} veils`);
    this.#show();
    return true;
  }

  move(step) {
    const ids = this.#picked;
    const moved = (effect) => movedTogether(effect, ids, step);
    if (moved(this.on.effect()) !== this.on.effect()) this.on.take(moved, `move ${ids.length} veils`);
  }
}

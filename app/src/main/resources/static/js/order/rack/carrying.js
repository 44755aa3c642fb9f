// Effects moved by keys: picked up, carried from gap to gap, put down or let go where they were. Every
// step is shown and told.
import { put, slotBy, slotOf, slots } from "./rack-state.js";

export class Carrying {
  /** @param on { show(rack), told(words), place(ids, section, before), words(ids) } */
  constructor(on) {
    this.on = on;
    this.held = null;
  }

  get isOn() {
    return this.held !== null;
  }

  pickUp(rack, ids) {
    this.held = { rack, ids, at: slotOf(rack, ids), from: slotOf(rack, ids) };
    this.on.told(
      `${this.on.words(ids)} picked up at ${this.#where()}. Arrow keys carry, Enter puts down, Escape lets go.`,
    );
    document.body.classList.add("is-carrying-by-keys");
  }

  #slot() {
    return slots(this.held.rack, this.held.ids)[this.held.at];
  }

  #where() {
    const slot = this.#slot();
    const section = this.held.rack.sections.find((s) => s.id === slot.section);
    return `section ${section.number}, ${section.name}, place ${slot.place} of ${slot.of}`;
  }

  /** @returns whether the key was taken */
  key(event) {
    if (!this.held) return false;
    if (event.key.startsWith("Arrow")) {
      this.held.at = slotBy(this.held.rack, this.held.ids, this.held.at, event.key);
      const { section, before } = this.#slot();
      this.on.show(put(this.held.rack, this.held.ids, section, before));
      this.on.told(this.#where());
    } else if (event.key === "Enter" || event.key === " " || event.key.toLowerCase() === "x") this.#down();
    else if (event.key === "Escape") this.letGo();
    else return event.key !== "Tab";
    return true;
  }

  #down() {
    const { ids, at, from } = this.held;
    const { section, before } = this.#slot();
    const where = this.#where();
    this.#over();
    this.on.told(`Put down at ${where}.`);
    if (at !== from) this.on.place(ids, section, before);
  }

  /** Puts them back where they were. */
  letGo() {
    if (!this.held) return;
    const { rack } = this.held;
    this.#over();
    this.on.show(rack);
    this.on.told("Let go: they hang where they were.");
  }

  #over() {
    this.held = null;
    document.body.classList.remove("is-carrying-by-keys");
  }
}

// How the mask of the open veil is shown over the picture: as hatching, as grey, or with what it does
// not cover cut out.

export const LOOKS = ["hatched", "grey", "cut out"];

export class MaskLook {
  shot = null;
  shown = false;
  #as = 0;

  /** @param on { ask(): for the newest mask, draw() } */
  constructor(buttons, on) {
    this.buttons = buttons;
    this.on = on;
  }

  toggle() {
    this.shown = !this.shown;
    this.buttons.press("mask", this.shown);
    this.buttons.show("mask-as", this.shown);
    if (this.shown) this.on.ask();
    else this.on.draw();
  }

  /** The next look, and the mask shown where it was not. */
  next() {
    if (!this.shown) return this.toggle();
    this.#as = (this.#as + 1) % LOOKS.length;
    const name = LOOKS[this.#as];
    this.buttons.name("mask-as", name[0].toUpperCase() + name.slice(1));
    this.on.draw();
  }

  /** What to draw: { shot, as }, or null. */
  get drawn() {
    return this.shown && this.shot ? { shot: this.shot, as: LOOKS[this.#as] } : null;
  }
}

// Asks for one picture at a time; what was wanted meanwhile is asked for next, and only the newest.

export class Loader {
  #busy = false;
  #again = false;

  /**
   * @param load gives a promise of a picture, or null where there is nothing to ask for
   * @param show is handed each picture in the order of asking
   * @param on told { busy } and { fault }
   */
  constructor(load, show, on = () => {}) {
    this.load = load;
    this.show = show;
    this.on = on;
  }

  async ask() {
    if (this.#busy) {
      this.#again = true;
      return;
    }
    this.#busy = true;
    this.on({ busy: true });
    do {
      this.#again = false;
      try {
        const picture = await this.load();
        if (picture) this.show(picture);
      } catch (fault) {
        this.on({ fault });
      }
    } while (this.#again);
    this.#busy = false;
    this.on({ busy: false });
  }

  get busy() {
    return this.#busy;
  }
}

// Asks for one picture at a time; what was wanted meanwhile is asked for next, and only the newest. What
// is on its way is let be, so that something is seen while the hand moves, unless the newer one takes its
// place. A picture that cannot be had now is asked for again until it is there.

const RETRY_MS = [1000, 2000, 4000, 8000];
/** No answer, too busy: it can be had later. */
const LATER = [0, 503];
/** Times that a picture is asked for again at once where another request took its place. */
const AGAIN_AT_ONCE = 5;

/** A request gave way to one that came later, though nothing newer is wanted here: one given up came late. */
export class GaveWay extends Error {}

export class Loader {
  /** Whether what is shown is older than what was asked for, since that could not be had. */
  behind = false;

  #busy = false;
  #again = false;
  #tries = 0;
  #gaveWay = 0;
  #timer = 0;
  #onTheWay = null;

  /**
   * @param load (signal) gives a promise of a picture, or null where there is nothing to ask for
   * @param show is handed each picture in the order of asking
   * @param on told { busy } and { fault }; a fault that goes on is told once
   */
  constructor(load, show, on = () => {}) {
    this.load = load;
    this.show = show;
    this.on = on;
  }

  /** @param instead whether what is on its way is no longer wanted */
  async ask(instead = false) {
    if (this.#busy) {
      this.#again = true;
      if (instead) this.#onTheWay.abort();
      return;
    }
    clearTimeout(this.#timer);
    this.#busy = true;
    this.on({ busy: true });
    do {
      this.#again = false;
      const { signal } = (this.#onTheWay = new AbortController());
      try {
        const picture = await this.load(signal);
        if (!signal.aborted) this.#take(picture);
        this.#gaveWay = 0;
      } catch (fault) {
        if (signal.aborted) continue;
        if (!(fault instanceof GaveWay)) this.#failed(fault);
        else if (++this.#gaveWay <= AGAIN_AT_ONCE) this.#again = true;
      }
    } while (this.#again);
    this.#busy = false;
    this.on({ busy: false });
  }

  get busy() {
    return this.#busy;
  }

  #take(picture) {
    if (!picture) return;
    this.behind = false;
    this.#tries = 0;
    this.show(picture);
  }

  #failed(fault) {
    const known = this.behind && this.#tries > 0;
    this.behind = true;
    if (LATER.includes(fault.status)) {
      const wait = RETRY_MS[Math.min(this.#tries, RETRY_MS.length - 1)];
      this.#tries += 1;
      this.#timer = setTimeout(() => this.ask(), wait);
    } else this.#tries = 0;
    if (!known) this.on({ fault });
  }
}

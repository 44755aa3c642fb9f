// What a page edits: the state as the application stored it last, and on top of it what waits to be
// stored and what the hand is still moving. Changes are functions of the document, so they can be put
// on whatever state the application answers with; every answer is taken whole, never its revision alone.

import { all, applied } from "./changes.js";
import { newName } from "./names.js";
import { waitAfter } from "./trying.js";

export class Store {
  #base;
  #waiting = [];
  #held = [];
  #busy = false;
  #tries = 0;
  #refused = false; // the last change was not taken
  #timer = 0;
  #nowStuck;
  #whenStuck = new Promise((resolve) => (this.#nowStuck = resolve));

  /**
   * @param first the state that the page was made with: { rev, …, [key]: document }
   * @param key name of the document in states
   * @param how { put(body, name, at): stores { rev, after, built?, label, gesture, [key] } and gives a state,
   *   get(): the state as it is stored now, gesture?(): name of the hand's move,
   *   at?(): the address of what is edited now; what is queued is for that one, whenever it is sent }
   * @param on { took(state, differs), saving(), saved(), fault(error, again | null, waits) }
   */
  constructor(first, key, how, on) {
    Object.assign(this, { key, how, on });
    this.#base = first;
    this.doc = first[key];
  }

  /** The state that was stored last. */
  get stored() {
    return this.#base;
  }

  get idle() {
    return this.#waiting.length === 0;
  }

  /** Whether something waits that the application could not be given. */
  get stuck() {
    return this.#timer !== 0;
  }

  /** Shows a change without storing it, while the hand moves. */
  hold(fn) {
    this.#held.push(fn);
    this.doc = applied(fn, this.doc);
  }

  /** Takes a change and what was held before it, and stores them. @returns promise of the state, or null */
  change(fn, label) {
    const fns = [...this.#held, fn];
    this.#held = [];
    this.doc = applied(fn, this.doc);
    const gesture = this.how.gesture?.() ?? "";
    const last = this.#waiting.at(-1);
    const free = last?.fns && !last.sent; // once it was on its way, it stays as it is
    if (free && gesture !== "" && last.gesture === gesture && last.label === label) {
      last.fns.push(...fns);
      return last.done;
    }
    return this.#queue({ fns, label, gesture });
  }

  /**
   * Asks for something that changes what is stored and is answered with the whole state.
   * @param send (name, on, at) → promise of a state; on is what a request that depends on the document
   *   says of it: { rev, after }; at is the address as it was when this was asked for
   * @param handled told a refusal; true where nothing more need be said
   */
  ask(send, handled = () => false) {
    return this.#queue({ send, handled });
  }

  /** Stores what the hand still holds, as when a page is left. */
  commitHeld() {
    if (this.#held.length > 0) this.change((doc) => doc, "change");
  }

  /** When all is stored that was queued so far, or cannot be. */
  async settled() {
    this.commitHeld();
    while (!this.idle && !this.stuck) await Promise.race([this.#waiting.at(-1).done, this.#whenStuck]);
  }

  /** Tries again at once what could not be stored. */
  retry() {
    clearTimeout(this.#timer);
    this.#timer = 0;
    this.#whenStuck = new Promise((resolve) => (this.#nowStuck = resolve));
    this.#run();
  }

  /** Goes on with another document, once all of this one is stored. */
  turnTo(state) {
    this.mustBeStored();
    this.#take(state);
  }

  /** Asked before anything of a page goes on with another document. @throws where something waits */
  mustBeStored() {
    if (!this.idle) throw new Error("What is shown is not stored yet; the other one comes once it is.");
  }

  /** Takes the state as it is stored now, if nothing waits and it is another: this page was left before. */
  async lookAgain() {
    const state = await this.how.get();
    if (this.idle && state.rev >= this.#base.rev) this.#take(state);
  }

  /** Sends all that waits without staying for an answer: the page is being left. */
  flush() {
    this.commitHeld();
    const onTheWay = this.#busy ? this.#waiting[0] : null;
    const rest = this.#waiting.filter((one) => one !== onTheWay);
    const last = rest.findLast((one) => one.fns);
    const asked = rest.filter((one) => one.send);
    const names = [onTheWay, ...asked, last].filter(Boolean).map((one) => one.name);
    for (const one of asked) one.send(one.name, this.#on(names), one.at).catch(() => {});
    if (last)
      this.how
        .put({ ...this.#body(last, this.doc, names), built: this.#base[this.key] }, last.name, last.at)
        .catch(() => {});
  }

  /** @param names of requests that may come before, in whatever order */
  #on(names = []) {
    return { rev: this.#base.rev, after: names };
  }

  #queue(one) {
    one.name = newName();
    one.at ??= this.how.at?.();
    one.done = new Promise((resolve) => (one.resolve = resolve));
    this.#waiting.push(one);
    this.#refused = false;
    this.on.saving();
    if (!this.#busy && !this.stuck) this.#run();
    return one.done;
  }

  #body({ label, gesture }, doc, names) {
    return { ...this.#on(names), label, gesture, [this.key]: doc };
  }

  async #run() {
    if (this.#busy) return;
    this.#busy = true;
    while (this.#waiting.length > 0 && !this.stuck) {
      const one = this.#waiting[0];
      try {
        this.#done(one, await this.#sent(one));
      } catch (error) {
        await this.#failed(one, error);
      }
    }
    this.#busy = false;
    if (this.idle && !this.#refused) this.on.saved();
  }

  #sent(one) {
    one.sent = true;
    const answer = one.send
      ? one.send(one.name, this.#on(), one.at)
      : this.how.put(this.#body(one, all(one.fns, this.#base[this.key])), one.name, one.at);
    return answer.catch((error) => {
      if (error.done) return this.how.get(); // it was done, and only the answer was lost
      throw error;
    });
  }

  #done(one, state) {
    this.#tries = 0;
    this.#waiting.shift();
    this.#take(state);
    one.resolve(state);
  }

  /** Takes a state whole; what waits and what is held goes on top. */
  #take(state) {
    const before = this.doc;
    this.#base = state;
    let doc = state[this.key];
    for (const { fns } of this.#waiting) if (fns) doc = all(fns, doc);
    this.doc = all(this.#held, doc);
    this.on.took(state, JSON.stringify(before) !== JSON.stringify(this.doc));
  }

  async #failed(one, error) {
    this.#tries += 1;
    const wait = waitAfter(error, this.#tries);
    if (wait) {
      this.#timer = setTimeout(() => this.retry(), wait);
      this.#nowStuck();
      this.on.fault(error, null, true);
      return;
    }
    this.#tries = 0;
    this.#waiting.shift();
    this.#refused = true;
    await this.#takeStored(error);
    if (one.send && error.offers?.length > 0) this.#refused = false; // a question, not a loss
    const again = one.fns ? () => this.#queue({ ...one, sent: false }) : null;
    if (!one.handled?.(error)) this.on.fault(error, again, false);
    one.resolve(null);
  }

  /** What was refused is not shown as if it were stored; a stale page takes the newer state. */
  async #takeStored(error) {
    try {
      this.#take(error.stale ? await this.how.get() : this.#base);
    } catch {
      this.#take(this.#base);
    }
  }
}

// What the page of a fitting holds: what is worn, as it is stored and as the hand moves it, and what the
// page shows beside it. It draws nothing; views are told.
import { gesture } from "../../base/web/gesture.js";
import { send } from "../../base/web/http.js";
import { Store } from "../../base/web/store.js";
import * as pageState from "./page-state.js";

export class Held {
  /**
   * @param state that the page was made with
   * @param base of addresses of fittings
   * @param line (took, retry, redraw) → what a store tells, shown
   * @param views { show(), showSoon(), hint(), redraw(moving), another(), stroke(): what a request says of the
   *   stroke under the hand, painted(counts): whether that is new, pins(state),
   *   renewed(answer),
   *   left(next, address): whether the page is made anew instead, turned(address) }
   */
  constructor(state, base, line, views) {
    Object.assign(this, { state, base, views });
    this.api = { toString: () => `/api/fittings/${state.id}` }; // another photo has a fitting of its own
    this.names = new Map(state.names);
    this.pieces = new Map(state.pieces.map((p) => [p.key, p])); // those that are worn, or were
    this.fitting = state.fitting; // as it is shown: what the store holds
    this.page = pageState.begun(this.fitting); // what the page shows beside it
    const shown = line(
      (answer, differs) => this.#took(answer, differs),
      () => this.store.retry(),
      () => views.redraw(),
    );
    const how = {
      put: (body, name, at) => send("PUT", at, body, name),
      get: () => this.#stored(),
      gesture,
      at: () => String(this.api),
    };
    this.store = new Store(state, "fitting", how, shown);
  }

  get openKey() {
    return this.page.openKey;
  }

  /** The effect that is open, as it was offered. */
  get piece() {
    return this.pieces.get(this.openKey);
  }

  /** Pieces of what is worn, in order, as the rendered stack has them. */
  get worn() {
    return this.fitting.worn.map((w) => this.pieces.get(w.effect)).filter(Boolean);
  }

  get brushed() {
    return pageState.brushed(this.page, this.fitting, this.pieces);
  }

  get request() {
    return pageState.request(this.page, this.fitting, this.views.stroke());
  }

  get words() {
    return pageState.words(this.page, this.names);
  }

  /** Whether an effect comes back as it was on this photo. */
  isLaidBy(key) {
    return this.store.stored.laidBy.includes(key);
  }

  isWorn(key) {
    return this.fitting.worn.some((w) => w.effect === key);
  }

  /** The page as it is fit to be shown. */
  fit() {
    this.page = pageState.fitted(this.page, this.fitting, this.pieces);
    return this.page;
  }

  /** Shows something else on the stage without taking it; null for what is there. */
  peek(body, words = "") {
    if (body || this.page.peeked) this.#look(pageState.peekedAt(this.page, body, words));
  }

  /** Tries an effect on; null for none. */
  try(key) {
    if (key !== this.page.trying) this.#look(pageState.tried(this.page, key));
  }

  /** What is tried is no longer tried: it is put on, or opened. */
  tried() {
    this.page = pageState.tried(this.page, null);
  }

  /** Another state of the page in which something else is looked at. */
  #look(next) {
    this.page = next;
    this.views.hint();
    this.views.another();
  }

  open(key, shown = true) {
    this.page = pageState.opened(this.page, key);
    if (shown) this.views.show();
  }

  /** Opens an effect, or folds the open one up or out. */
  pick(key) {
    this.page = pageState.picked(this.page, key);
    this.views.show();
  }

  takeBrush(of) {
    this.page = pageState.brushedWith(this.page, of, this.brushed);
    this.views.show();
  }

  /** Changes the fitting by a function of it; stores that where a label says what was done. */
  take(fn, label) {
    if (label) this.store.change(fn, label);
    else this.store.hold(fn);
    this.fitting = this.store.doc;
    if (label) this.views.show();
    else this.views.showSoon();
    this.views.redraw(!label);
  }

  /** A state as it is stored, taken whole. */
  #took(answer, differs) {
    if (this.views.renewed(answer)) return;
    for (const piece of answer.pieces) this.pieces.set(piece.key, piece);
    const painted = this.views.painted(answer.painted);
    this.fitting = this.store.doc;
    this.views.pins(answer);
    if (!differs && !painted) return; // what is being typed stays
    this.page = pageState.peekedAt(this.page, null);
    this.views.show();
    this.views.redraw();
  }

  /** The fitting as it is stored, if no other one is shown meanwhile. */
  async #stored() {
    const { id } = this.state;
    const answer = await send("GET", this.api);
    if (id !== this.state.id) throw new Error("another photo is shown");
    return answer;
  }

  /** Goes on with the fitting of another photo. */
  turnTo(next) {
    this.store.mustBeStored(); // or what waits would be stored in the other photo's place
    if (this.views.left(next, `${this.base}${next.id}`)) return;
    Object.assign(this.state, { id: next.id, photo: next.photo });
    this.page = pageState.begun(next.fitting, this.openKey);
    this.store.turnTo(next);
    this.views.turned(`${this.base}${this.state.id}`);
  }
}

// What the page of the bench holds: the effect, as it is stored and as the hand moves it, and what the page
// shows beside it. It draws nothing; views are told.
import { gesture } from "../../base/web/gesture.js";
import { send } from "../../base/web/http.js";
import { Store } from "../../base/web/store.js";
import { changed, dropped, placedAt } from "./effect.js";
import * as pageState from "./page-state.js";

export class Held {
  /**
   * @param state that the page was made with
   * @param line (took, retry, redraw) → what a store tells, shown
   * @param views { show(), showSoon(), hint(words), redraw(moving), refresh(), another(), photo(): the one on the
   *   stage, onPhoto(): what a request says of it, stroke(): what is shown under the hand, painted(answer):
   *   whether that is new, promises(list), opened(id), dropped(name, edit) }
   */
  constructor(state, line, views) {
    this.views = views;
    this.api = `/api/effects/${state.id}`;
    this.effect = state.effect; // as it is shown: what the store holds
    this.page = pageState.begun(); // what the page shows beside it
    const shown = line(
      (answer, differs) => this.#took(answer, differs),
      () => this.store.retry(),
      () => views.redraw(),
    );
    const how = {
      put: (body, name) => send("PUT", this.api, { ...body, photo: views.photo().id }, name),
      get: () => this.onPhoto(views.photo()),
      gesture,
    };
    this.store = new Store(state, "effect", how, shown);
  }

  get openId() {
    return this.page.openId;
  }

  get brushed() {
    return pageState.brushed(this.page, this.effect);
  }

  get request() {
    return pageState.request(this.page, this.effect, this.views.onPhoto(), this.views.stroke());
  }

  veilOf(id) {
    return pageState.veilOf(this.effect, id);
  }

  /** The state with what is painted on a photo. */
  onPhoto(photo) {
    return send("GET", `${this.api}?photo=${photo.id}`);
  }

  /** The page as it is fit to be shown. */
  fit() {
    this.page = pageState.fitted(this.page, this.effect);
    return this.page;
  }

  /** Shows an effect on the stage without taking it; null for the one that is there. */
  peek(other, words = "") {
    if (!other && !this.page.peeked) return;
    this.page = pageState.peekedAt(this.page, other);
    this.views.hint(words);
    this.views.another();
  }

  /** Changes the effect by a function of it; stores that where a label says what was done. */
  take(fn, label) {
    const stored = label ? this.store.change(fn, label) : this.store.hold(fn);
    this.effect = this.store.doc;
    this.page = pageState.peekedAt(this.page, null);
    if (label) this.views.show();
    else this.views.showSoon();
    this.views.redraw(!label);
    return stored;
  }

  /** A state as it is stored, taken whole. */
  #took(answer, differs) {
    const painted = this.views.painted(answer);
    this.views.promises(answer.promises);
    this.effect = this.store.doc;
    if (!differs && !painted) return; // what is being typed stays
    this.views.show();
    this.views.redraw();
  }

  /** Opens a veil; null for none. */
  open(id) {
    this.page = pageState.opened(this.page, id);
    this.views.opened(id);
    this.showAnew();
  }

  /** Another way to look at the open veil. */
  see(way) {
    this.page = pageState.seen(this.page, way);
    this.showAnew();
  }

  showAnew() {
    this.views.show();
    this.views.refresh();
  }

  lift(id) {
    const veil = this.veilOf(id);
    if (!veil) return;
    this.take((e) => changed(e, id, { lifted: !veil.lifted }), `${veil.lifted ? "let down" : "lift"} ${veil.name}`);
  }

  async drop(id) {
    const veil = this.veilOf(id);
    const stored = veil && (await this.take((e) => dropped(e, id), `drop ${veil.name}`));
    if (stored) this.views.dropped(veil.name, stored.undo.edit);
  }

  move(id, index) {
    if (this.effect.veils[index]?.id !== id) this.take((e) => placedAt(e, id, index), `move ${this.veilOf(id).name}`);
  }

  opacity(id, opacity, rests) {
    this.take((e) => changed(e, id, { opacity }), rests && `opacity of ${this.veilOf(id).name}`);
  }
}

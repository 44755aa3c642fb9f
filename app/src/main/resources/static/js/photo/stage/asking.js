// The pictures that a stage asks for: the finished one, the plain one, the mask. Of another photo a small
// one comes first; while the hand moves, a slow one comes coarser; at rest the exact one follows.
import { fetchBytes } from "../../base/web/http.js";
import { newName } from "../../base/web/names.js";
import { GaveWay, Loader } from "./loader.js";
import { coarseness } from "./pace.js";
import { Shot } from "./shot.js";
import { SMALL } from "../../base/web/rules.js";

const RESTS_MS = 350;

// Finenesses of one picture: a newer request for it takes the place of an older one, however fine.
const FIRST = ".first";
const COARSE = ".coarse";

export class Asking {
  #plainKey = "";
  #moving = false;
  #share = 1; // of the long side, for pictures while the hand moves
  #pace = 0; // milliseconds that the last picture at full fineness took
  #known = null; // photo whose exact picture was shown

  /**
   * @param stage { finished: pane, view, source }
   * @param on { finished(shot), plain(shot), mask(shot), photo(): the exact picture of another photo is
   *   there, told(what a loader tells), also(): other pictures are wanted anew, masked(): whether the mask
   *   is shown }
   */
  constructor(stage, on) {
    Object.assign(this, { stage, on });
    this.name = newName();
    this.finished = new Loader(
      (signal) => this.#load(signal),
      (shot) => this.#show(shot),
      on.told,
    );
    this.plain = new Loader((signal) => this.#loadPlain(signal), on.plain, on.told);
    this.mask = new Loader(
      (signal) => this.#fetch(stage.finished, stage.source.maskBody(), "mask", signal),
      on.mask,
      on.told,
    );
    this.loaders = [this.finished, this.plain, this.mask];
  }

  get busy() {
    return this.loaders.some((l) => l.busy);
  }

  get behind() {
    return this.loaders.some((l) => l.behind);
  }

  /**
   * Asks for what the source gives now.
   * @param moving the hand moves: the first coarse picture does not wait for a fine one
   */
  refresh(moving = false) {
    const begins = moving && !this.#moving;
    if (begins) this.#share = coarseness(this.#pace);
    this.#ask(moving, begins && this.#share < 1);
  }

  /** Asks for what is there now in the place of what was: another photo, place or effect is looked at. */
  another() {
    this.#ask(false, true);
  }

  #ask(moving, instead) {
    this.#moving = moving;
    clearTimeout(this.resting);
    if (moving) this.resting = setTimeout(() => this.refresh(), RESTS_MS);
    this.finished.ask(instead);
    if (this.#fineness === FIRST && !this.stage.finished.isHidden) return; // the others come after it
    if (this.#plainKey !== this.#wantedKey()) this.plain.ask(instead);
    if (this.on.masked()) this.mask.ask(instead);
    this.on.also();
  }

  /** A promise of what a pane is to show: the part that is new, or all of it. */
  async fetchFor(pane, body, view, signal) {
    try {
      return await this.#fetch(pane, body, view, signal, pane.shot);
    } catch (fault) {
      if (fault instanceof GaveWay) return null;
      throw fault;
    }
  }

  get #fineness() {
    const { finished, source, view } = this.stage;
    if (!view.fit) return "";
    if (finished.shot?.photo !== source.photo()) return FIRST;
    return this.#moving && this.#share < 1 ? COARSE : "";
  }

  #wantedKey() {
    const { finished, source, view } = this.stage;
    return JSON.stringify([source.photo().id, finished.wanted(view, source.photo())]);
  }

  async #load(signal) {
    const begun = performance.now();
    const fineness = this.#fineness;
    const { finished, source } = this.stage;
    const shot = await this.#fetch(finished, source.body(), `finished${fineness}`, signal, finished.shot);
    if (shot && fineness === "") this.#pace = performance.now() - begun;
    return shot;
  }

  async #fetch(pane, body, view, signal, before) {
    if (!body || pane.isHidden) return null;
    const { source } = this.stage;
    const photo = source.photo();
    const wanted = pane.wanted(this.stage.view, photo);
    if (view.endsWith(COARSE)) wanted.longSide = Math.round(wanted.longSide * this.#share);
    if (view.endsWith(FIRST)) Object.assign(wanted, { longSide: Math.min(SMALL, wanted.longSide), soon: true });
    const have = before?.photo === photo && before.view === view ? before.head.turn : undefined;
    const asked = { ...body, ...wanted, view: `${this.name}-${view}`, have };
    const bytes = await fetchBytes(source.address, asked, signal);
    if (!bytes) throw new GaveWay();
    return photo === source.photo() ? Shot.of(bytes, photo, view, before) : null;
  }

  async #loadPlain(signal) {
    const key = this.#wantedKey();
    const body = this.stage.source.body();
    const shot = await this.#fetch(this.stage.finished, body && { ...body, plain: true }, "plain", signal);
    if (shot) this.#plainKey = key;
    return shot;
  }

  #show(shot) {
    this.on.finished(shot);
    if (shot.view.endsWith(FIRST)) return this.refresh(this.#moving);
    if (shot.photo === this.#known) return;
    this.#known = shot.photo;
    this.on.photo();
  }
}

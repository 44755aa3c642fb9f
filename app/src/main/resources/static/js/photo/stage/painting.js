// What is painted on the veils of an effect, on one photo. Strokes are kept by the application; the
// page knows how many there are.
import { send } from "../../base/web/http.js";
import { say } from "../../base/web/say.js";
import { Brush } from "./brush.js";

const MIDDLE = 0.95; // of the short side

export class Painting {
  stroke = null; // being painted, or painted and not stored yet: { points …, veil, photo }
  storing = false;
  #off = null; // the veil that covers everything and is to be brushed off

  /**
   * @param stage the stage
   * @param store of the effect
   * @param api address of the effect
   * @param painted how many strokes each veil has on the photo, by id
   * @param now { veil(): id of the open one, photo(), shown() }
   */
  constructor(stage, store, api, painted, now) {
    Object.assign(this, { stage, store, api, painted, now });
    this.brush = new Brush(stage, document.querySelector("[data-brush]"), {
      begin: () => ({ veil: now.veil(), photo: now.photo() }),
      progress: (stroke, on) => {
        this.stroke = { stroke, ...on };
        if (!this.storing) stage.refresh();
      },
      done: (stroke, on) => this.#store({ stroke, ...on }),
    });
  }

  /** Whether something is painted on a veil. */
  has(veil) {
    return (this.painted[veil] ?? 0) > 0;
  }

  /** Arms the brush for the open veil: to reveal, or to hide of one that covers everything. */
  armFor(veil) {
    const everywhere = veil?.mask.cover === "everywhere";
    if (this.#off !== veil?.id) this.#off = null;
    const takes = veil && (!everywhere || this.#off === veil.id || this.has(veil.id));
    this.brush.arm(Boolean(takes && !veil.lifted), !everywhere);
  }

  /** Takes the brush to a veil that covers everything. */
  brushOff(veil) {
    this.#off = veil;
    this.now.shown();
  }

  /** Leaves a veil out of the middle of the picture: one wide soft stroke. */
  allButTheMiddle(veil) {
    const { width, height } = this.now.photo();
    const long = Math.max(width, height);
    const points = [width / long / 2, height / long / 2];
    const stroke = {
      points,
      size: MIDDLE * (Math.min(width, height) / long),
      softness: 1,
      strength: 1,
      flow: 1,
      reveal: false,
    };
    return this.#store({ stroke, veil, photo: this.now.photo() });
  }

  /** The stroke under the hand, where it is on the photo that is shown. */
  get shown() {
    return this.stroke?.photo === this.now.photo() ? this.stroke : null;
  }

  /** Takes what the application says is painted on the photo that is shown. @returns whether that is new */
  take({ photo, painted }) {
    if (photo !== this.now.photo().id) return false;
    const differs = JSON.stringify(painted) !== JSON.stringify(this.painted);
    this.painted = painted;
    return differs;
  }

  /** Another photo comes: what is painted on it is not known yet. */
  forget() {
    this.painted = {};
  }

  async #store(next) {
    this.stroke = next;
    this.storing = true;
    const body = { photo: next.photo.id, veil: next.veil, stroke: next.stroke };
    await this.store.ask((name) => send("POST", `${this.api}/paint`, body, name));
    if (this.stroke === next) this.stroke = null;
    this.storing = false;
    this.now.shown();
  }

  /** fill: shows all of a veil; invert: turns round what is painted; clear: takes it off. */
  async all(veil, how) {
    const body = { photo: this.now.photo().id, veil, how };
    if (await this.store.ask((name) => send("POST", `${this.api}/paint-all`, body, name))) this.now.shown();
  }

  /** Lets a veil cover where another one does. */
  async copy(from, to, undo) {
    const photo = this.now.photo().id;
    const body = { label: "mask", photo, from: from.id, to };
    const answer = await this.store.ask((name, on) => send("POST", `${this.api}/copy-mask`, { ...on, ...body }, name));
    if (!answer) return;
    this.now.shown();
    say(`Covers where “${from.name}” does.`, { action: () => undo(answer.undo.edit) });
  }
}

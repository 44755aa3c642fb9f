// What is painted in a fitting: the stroke under the hand, and how many are stored.
import { send } from "../../base/web/http.js";
import { Brush } from "../../photo/stage/brush.js";

export class Painting {
  stroke = null; // under the hand, or not stored yet: { stroke, key, veil }
  storing = false;

  /**
   * @param stage the stage
   * @param store of the fitting
   * @param api address of the fitting
   * @param counts strokes by key of the effect and id of the veil
   * @param now { key(): of the open effect, brushed(): what the brush is for, shown() }
   */
  constructor(stage, store, api, counts, now) {
    Object.assign(this, { stage, store, api, counts, now });
    this.brush = new Brush(stage, document.querySelector("[data-brush]"), {
      begin: () => ({ key: now.key(), veil: now.brushed().id }),
      progress: (stroke, on) => {
        this.stroke = { stroke, ...on };
        if (!this.storing) stage.refresh();
      },
      done: (stroke, on) => this.#store({ stroke, ...on }),
    });
  }

  /** How many strokes what is under the brush has. */
  get strokes() {
    const brushed = this.now.brushed();
    return brushed ? (this.counts[this.now.key()]?.[brushed.id] ?? 0) : 0;
  }

  /** Takes what the application says is painted. @returns whether that is new */
  take(counts) {
    const differs = JSON.stringify(counts) !== JSON.stringify(this.counts);
    this.counts = counts;
    return differs;
  }

  /** What a request for a picture says of the stroke that is not stored yet. */
  get request() {
    return this.stroke ? { stroke: this.stroke.stroke, veil: this.stroke.veil, strokeOn: this.stroke.key } : {};
  }

  /** What is done to all that is painted: fill, invert, clear. */
  async all(how) {
    const body = { effect: this.now.key(), veil: this.now.brushed().of, how };
    if (await this.store.ask((name, on, at) => send("POST", `${at}/paint-all`, body, name))) this.now.shown();
  }

  async #store(next) {
    this.stroke = next;
    this.storing = true;
    const body = { effect: next.key, veil: next.veil, stroke: next.stroke };
    await this.store.ask((name, on, at) => send("POST", `${at}/paint`, body, name));
    if (this.stroke === next) this.stroke = null;
    this.storing = false;
    this.now.shown();
  }
}

// What is painted on the veils of an effect, on one photo.
import { send } from "../web/http.js";
import { say } from "../web/say.js";
import { Brush } from "../stage/brush.js";

export class Painting {
  stroke = null; // being painted, or painted and not stored yet
  storing = false;

  /**
   * @param stage the stage
   * @param saver of the effect
   * @param api address of the effect
   * @param now { veil(): id of the open one, photo(), take(answer): paint and effect as stored, shown() }
   */
  constructor(stage, saver, api, paint, now) {
    Object.assign(this, { stage, saver, api, paint, now });
    this.brush = new Brush(stage, document.querySelector("[data-brush]"), {
      progress: (next) => {
        this.stroke = next;
        if (!this.storing) stage.refresh();
      },
      done: (next) => this.#store(next),
    });
  }

  /** Whether something is painted on a veil. */
  has(veil) {
    return (this.paint[veil]?.length ?? 0) > 0;
  }

  async #store(next) {
    this.stroke = next;
    this.storing = true;
    const [veil, on] = [this.now.veil(), this.now.photo()]; // others may be shown when its turn comes
    const answer = await this.saver.queue(() => send("POST", `${this.api}/paint`, { photo: on.id, veil, stroke: next }));
    if (answer && this.now.photo() === on) this.paint = { ...this.paint, [veil]: [...(this.paint[veil] ?? []), next] };
    if (this.stroke === next) this.stroke = null;
    this.storing = false;
    this.now.shown();
  }

  /** Takes all paint off a veil. */
  async clear(veil) {
    const address = `${this.api}/paint?photo=${this.now.photo().id}&veil=${encodeURIComponent(veil)}`;
    if (!(await this.saver.queue(() => send("DELETE", address)))) return;
    this.paint = { ...this.paint, [veil]: [] };
    this.now.shown();
  }

  /** fill: shows all of a veil; invert: turns round what is painted. */
  async all(veil, how) {
    const body = { photo: this.now.photo().id, veil, how };
    const answer = await this.saver.queue(() => send("POST", `${this.api}/paint-all`, body));
    if (!answer) return;
    this.paint = answer.paint;
    this.now.shown();
  }

  /** Lets a veil cover where another one does. */
  async copy(from, to, undo) {
    const body = (rev) => ({ rev, photo: this.now.photo().id, from: from.id, to });
    const answer = await this.saver.queue((rev) => send("POST", `${this.api}/copy-mask`, body(rev)));
    if (!answer) return;
    this.now.take(answer);
    say(`Covers where “${from.name}” does.`, { action: undo });
  }
}

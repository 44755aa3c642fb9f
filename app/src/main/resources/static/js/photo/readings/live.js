// What is measured of the picture on the stage while it is edited: skin, tones that clip anew, and,
// said quietly, limits that are passed.
import { fetchBytes } from "../../base/web/http.js";
import { unpack } from "../stage/packet.js";
import { valueWords, verdictLine } from "./verdicts.js";

const RESTS_MS = 280;

export class Live {
  /**
   * @param find gives [data-live] for the lines and [data-live-over] for the warning
   * @param address gives that of the stage's pictures
   * @param body of a request for the finished picture; null where there is none now
   * @param limits { kit, section }: whose count
   */
  constructor(find, address, body, limits) {
    Object.assign(this, { lines: find("live"), over: find("live-over"), address, body, limits, turn: 0 });
  }

  /** The picture is another: it is measured once it rests. */
  changed() {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.#ask(), RESTS_MS);
  }

  async #ask() {
    const body = this.body();
    if (!body) return;
    const turn = ++this.turn;
    this.aborting?.abort();
    this.aborting = new AbortController();
    try {
      const { head } = unpack(
        await fetchBytes(this.address(), { ...body, longSide: 400, live: this.limits }, this.aborting.signal),
      );
      if (turn === this.turn) this.#show(head);
    } catch {
      // a newer one is on its way, or the stage says what is wrong
    }
  }

  #show({ lines, over }) {
    this.lines.replaceChildren(
      ...lines.flatMap(([name, words]) => [
        Object.assign(document.createElement("dt"), { textContent: name }),
        Object.assign(document.createElement("dd"), { textContent: words }),
      ]),
      ...over.flatMap(([state, word, value, unit]) => [
        Object.assign(document.createElement("dt"), { textContent: state, className: `is-${state}` }),
        Object.assign(document.createElement("dd"), { textContent: `${word} ${valueWords(value, unit)}` }),
      ]),
    );
    const worst = over.find(([state]) => state === "over");
    this.over.hidden = !worst;
    if (worst) {
      const [state, word, value, unit] = worst;
      const line = verdictLine({ state, measure: word, value, words: "" }, new Map([[word, { word, unit }]]));
      this.over.replaceChildren(line);
      this.over.title = over.map(([s, w, v, u]) => `${s} · ${w} ${valueWords(v, u)}`).join("\n");
    }
  }
}

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
   * With [data-live-figures] things are said in words first, and in figures where that is pressed.
   */
  constructor(find, address, body, limits) {
    Object.assign(this, { lines: find("live"), over: find("live-over"), address, body, limits, turn: 0 });
    this.figures = find("live-figures");
    this.figures?.addEventListener("click", () => {
      this.figures.setAttribute("aria-pressed", String(!this.#wantsFigures()));
      if (this.head) this.#show(this.head);
    });
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

  #wantsFigures() {
    return !this.figures || this.figures.getAttribute("aria-pressed") === "true";
  }

  #show(head) {
    this.head = head;
    if (this.#wantsFigures()) this.#inFigures(head);
    else this.#inWords(head);
  }

  #list(lines) {
    this.lines.replaceChildren(
      ...lines.flatMap(([name, words, className = ""]) => [
        Object.assign(document.createElement("dt"), { textContent: name, className }),
        Object.assign(document.createElement("dd"), { textContent: words }),
      ]),
    );
  }

  /** For photographers: what was chosen, such as grey skin in a black-and-white, is no warning. */
  #inWords({ plain, over }) {
    const told = over.filter(([, , , , words]) => words !== "");
    this.#list([...plain, ...told.map(([state, , , , words]) => ["Look at", words, `is-${state}`])]);
    const line = ([, , , , words]) =>
      Object.assign(document.createElement("span"), { className: "verdict is-over", textContent: words });
    this.#warn(told, line, ([, , , , words]) => words);
  }

  #inFigures({ lines, over }) {
    this.#list([...lines, ...over.map(([s, word, v, unit]) => [s, `${word} ${valueWords(v, unit)}`, `is-${s}`])]);
    const line = ([state, word, value, unit]) =>
      verdictLine({ state, measure: word, value, words: "" }, new Map([[word, { word, unit }]]));
    this.#warn(over, line, ([s, word, v, unit]) => `${s} · ${word} ${valueWords(v, unit)}`);
  }

  /** Says the worst of what is over; all of it where one points at it. */
  #warn(all, line, words) {
    const worst = all.find(([state]) => state === "over");
    this.over.hidden = !worst;
    if (!worst) return;
    this.over.replaceChildren(line(worst));
    this.over.title = all.map(words).join("\n");
  }
}

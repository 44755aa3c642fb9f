// The card of a cell: the plain and the finished picture, every measure against its limit, who did
// it, and the remedies.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { say, sayFault } from "../../base/web/say.js";
import { CardLook } from "./card-look.js";
import { curveOf } from "./curve.js";
import { measureLine } from "./measure-line.js";
import { found } from "./searching.js";

export class Card {
  /**
   * @param box column
   * @param names { effect(id), photo(id) }
   * @param on { changed(effect): the effect is another now, judged(): limits are held otherwise, close() }
   */
  constructor(box, names, on) {
    Object.assign(this, { box, names, on, turn: 0 });
    const find = (name) => box.querySelector(`[data-card-${name}]`);
    Object.assign(this, { find, look: new CardLook(find("look")) });
    find("close").addEventListener("click", () => on.close());
    find("much").addEventListener("click", () => this.#much());
    find("start").addEventListener("click", () => this.#startAt());
    find("off").addEventListener("click", () => this.#keepOff());
    find("accept").addEventListener("click", () => this.#accepting());
    find("reason").addEventListener("submit", (event) => this.#accept(event));
    find("reason-leave").addEventListener("click", () => this.#leaveReason());
  }

  get isOpen() {
    return !this.box.hidden;
  }

  async open(effect, photo) {
    const turn = ++this.turn;
    const other = this.effect !== effect || this.photo !== photo;
    Object.assign(this, { effect, photo });
    this.box.hidden = false;
    this.find("name").textContent = this.names.effect(effect).name;
    this.find("on").textContent = `on ${this.names.photo(photo).name}`;
    this.find("bench").href = `/bench/${effect}?photo=${photo}`;
    if (other) {
      this.find("who").textContent = "";
      this.find("lines").replaceChildren();
      this.#leaveReason();
      this.#noCurve();
    }
    try {
      const card = await send("GET", `/api/proofs/cells/${effect}/${photo}`);
      if (turn === this.turn) await this.#show(card, turn);
    } catch (error) {
      if (turn === this.turn) sayFault(error);
    }
  }

  close() {
    this.turn += 1;
    this.box.hidden = true;
  }

  async #show(card, turn) {
    this.card = card;
    const worst = card.lines.find((l) => l.measure === card.cell[3]);
    this.worst = worst;
    const word = card.cell[2];
    this.find("state").textContent = card.notJudged ? `not judged: ${card.notJudged}` : word;
    this.find("state").className = `card-state is-${word.split(/[, ]/)[0]}`;
    this.find("lacking").textContent = card.notJudged ? "" : card.lacking;
    const bad = worst && (word === "over" || word === "near");
    this.look.show(this.effect, this.photo, this.names.photo(this.photo), worst?.region ?? "");
    const judged = card.lines.filter((l) => l.state !== "not judged").toSorted((a, b) => b.share - a.share);
    const rest = card.lines.filter((l) => l.state === "not judged");
    this.find("lines").replaceChildren(...judged.map(measureLine));
    this.find("rest").hidden = rest.length === 0;
    this.find("rest-lines").replaceChildren(
      ...rest.map((l) =>
        element(
          "li",
          {},
          element("span", { textContent: l.label }),
          element("span", { textContent: l.why || "not judged" }),
        ),
      ),
    );
    this.find("off").hidden = !bad || !this.names.photo(this.photo).regions.includes("skin");
    this.find("accept").hidden = !judged.some((l) => l.state === "over" || l.accepted);
    this.find("accept").textContent = judged.some((l) => l.state === "over")
      ? "Accept …"
      : "Hold it to its limit again";
    this.find("much").hidden = judged.length === 0;
    const bench = `/bench/${this.effect}?photo=${this.photo}`;
    this.find("bench").href = bad && worst.region ? `${bench}&region=${encodeURIComponent(worst.region)}` : bench;
    if (!bad) {
      this.find("who").textContent = "";
      return;
    }
    const who = await send("GET", `/api/proofs/cells/${this.effect}/${this.photo}/who?measure=${worst.measure}`);
    if (turn === this.turn) this.find("who").textContent = who.sentence;
  }

  #noCurve() {
    this.find("curve").replaceChildren();
    this.find("start").hidden = true;
  }

  async #much() {
    const { effect } = this;
    try {
      const said = this.find("found");
      const what = await found({ search: "opacity", effect }, (how) => (said.textContent = how));
      if (this.effect !== effect) return;
      said.textContent = "";
      if (!what?.photos) return say("No photo is judged for this effect.");
      this.best = what.at;
      this.find("curve").replaceChildren(curveOf(what));
      this.find("start").hidden = what.at <= 0 || Math.abs(what.at - what.start) < 0.005;
      this.find("start").textContent = `Start it at ${Math.round(what.at * 100)} %`;
      if (what.at <= 0) said.textContent = "At no opacity are all photos within.";
    } catch (error) {
      sayFault(error);
    }
  }

  async #startAt() {
    await this.#remedy(
      "/api/proofs/remedies/start",
      { effect: this.effect, start: this.best },
      `It goes on at ${Math.round(this.best * 100)} % now.`,
    );
    this.#noCurve();
  }

  async #keepOff() {
    const { effect, photo } = this;
    try {
      const said = this.find("found");
      const what = await found(
        { search: "guard", effect, photo, measure: this.worst.measure },
        (how) => (said.textContent = how),
      );
      said.textContent = "";
      if (!what?.found) return say("Keeping its veils off skin does not bring it within.", { fault: true });
      const names = what.names.map((n) => `“${n}”`).join(", ");
      await this.#remedy(
        "/api/proofs/remedies/guard",
        { effect, veils: what.veils, amount: what.amount },
        `${names}: kept off skin by ${what.amount} %.`,
      );
    } catch (error) {
      sayFault(error);
    }
  }

  async #remedy(address, request, sentence) {
    try {
      await send("POST", address, request);
      say(sentence);
      await this.on.changed(request.effect);
      if (this.isOpen) await this.open(this.effect, this.photo);
    } catch (error) {
      sayFault(error);
    }
  }

  #accepting() {
    const over = this.card.lines.filter((l) => l.state === "over");
    const accepted = this.card.lines.filter((l) => l.accepted);
    if (over.length === 0) return this.#release(accepted);
    const measure = this.find("reason-measure");
    measure.replaceChildren(...over.map((l) => new Option(l.label, l.measure)));
    measure.value = this.worst?.state === "over" ? this.worst.measure : over[0].measure;
    this.find("reason").hidden = false;
    this.find("reason-words").focus();
  }

  #leaveReason() {
    this.find("reason").hidden = true;
    this.find("reason").reset();
  }

  async #accept(event) {
    event.preventDefault();
    const everywhere = this.find("reason-where").value === "all";
    await this.#accepted([
      {
        effect: this.effect,
        ...(everywhere ? {} : { photo: this.photo }),
        measure: this.find("reason-measure").value,
        reason: this.find("reason-words").value,
      },
    ]);
    this.#leaveReason();
  }

  /** Takes back what is accepted here, or for the effect on every photo. */
  async #release(lines) {
    const here = lines.flatMap((l) => [
      { effect: this.effect, photo: this.photo, measure: l.measure, reason: "" },
      { effect: this.effect, measure: l.measure, reason: "" },
    ]);
    await this.#accepted(here);
  }

  async #accepted(requests) {
    try {
      for (const request of requests) await send("PUT", "/api/proofs/accepted", request);
      await this.on.judged();
      await this.open(this.effect, this.photo);
    } catch (error) {
      sayFault(error);
    }
  }
}

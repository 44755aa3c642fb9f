// What is known of one effect: how much of it is too much, and its dials swept over photos.
import { send } from "../../base/web/http.js";
import { say, sayFault } from "../../base/web/say.js";
import { curveOf } from "./curve.js";
import { found } from "./searching.js";
import { shown } from "../../base/editors/slider.js";
import { verdictLine } from "../../photo/readings/verdicts.js";

export class Column {
  /** @param on { changed(effect), close(), effect(id): its dials and start } */
  constructor(box, names, measures, on) {
    Object.assign(this, { box, names, measures, on });
    this.find = (name) => box.querySelector(`[data-column-${name}]`);
    this.find("close").addEventListener("click", () => on.close());
    this.find("much").addEventListener("click", () => this.#much());
    this.find("start").addEventListener("click", () => this.#startAt());
    this.find("sweep").addEventListener("click", () => this.#sweep());
    this.find("set").addEventListener("click", () => this.#setRange());
  }

  async open(effect) {
    this.effect = effect;
    this.box.hidden = false;
    for (const name of ["curve", "swept", "photos"]) this.find(name).replaceChildren();
    for (const name of ["start", "set"]) this.find(name).hidden = true;
    for (const name of ["found", "swept-said"]) this.find(name).textContent = "";
    this.find("dials").hidden = true; // those of the effect before are not this one's
    this.find("name").textContent = this.names.effect(effect).name;
    this.find("bench").href = `/bench/${effect}`;
    try {
      const own = await send("GET", `/api/proofs/effects/${effect}`);
      if (this.effect !== effect) return;
      this.find("goes").textContent =
        `Goes on at ${Math.round(own.start * 100)} %. Made for ${own.madeFor.length > 0 ? own.madeFor.join(", ") : "any photo"}.${this.names.effect(effect).older ? " Made with an older edition of the engine: update it on the page of its kit." : ""}`;
      this.find("dial").replaceChildren(...own.dials.map((d) => new Option(d, d)));
      this.find("dials").hidden = own.dials.length === 0;
      this.find("photos").replaceChildren(...own.judged.map((id, i) => this.#photo(id, i < 4)));
    } catch (error) {
      sayFault(error);
    }
  }

  #photo(id, ticked) {
    const label = document.createElement("label");
    label.title = this.names.photo(id).name;
    const tick = Object.assign(document.createElement("input"), { type: "checkbox", value: id, checked: ticked });
    tick.setAttribute("aria-label", this.names.photo(id).name);
    label.append(tick, Object.assign(new Image(), { alt: "", loading: "lazy", src: `/photos/${id}/small` }));
    return label;
  }

  close() {
    this.box.hidden = true;
  }

  async #much() {
    const { effect } = this;
    const share = Number(this.find("share").value) / 100;
    try {
      const what = await found({ search: "opacity", effect, share }, (how) => (this.find("found").textContent = how));
      if (this.effect !== effect || !what) return;
      if (!what.photos) return say("No photo is judged for this effect.");
      this.best = what.at;
      this.find("found").textContent = what.at <= 0 ? "At no opacity are enough photos within." : "";
      this.find("curve").replaceChildren(curveOf(what));
      this.find("start").hidden = what.at <= 0 || Math.abs(what.at - what.start) < 0.005;
      this.find("start").textContent = `Start it at ${Math.round(what.at * 100)} %`;
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
  }

  async #sweep() {
    const { effect } = this;
    const photos = [...this.find("photos").querySelectorAll("input:checked")].map((i) => Number(i.value));
    try {
      const what = await found(
        { search: "sweep", effect, dial: this.find("dial").value, photos },
        (how) => (this.find("swept-said").textContent = how),
      );
      if (this.effect === effect && what) this.#swept(what);
    } catch (error) {
      sayFault(error);
    }
  }

  #swept(what) {
    this.what = what;
    const { dial, values, rows, holds, from, to } = what;
    const head = document.createElement("tr");
    head.append(
      document.createElement("th"),
      ...values.map((v) => Object.assign(document.createElement("th"), { scope: "col", textContent: shown(v, 0.01) })),
    );
    const body = rows.map(([photo, cells]) => {
      const row = document.createElement("tr");
      row.append(
        Object.assign(document.createElement("th"), { scope: "row", textContent: this.names.photo(photo).name }),
      );
      cells.forEach(([state, measure, value, share], i) => {
        const cell = document.createElement("td");
        const src = `/proofs/pictures/${this.effect}/${photo}/dial?${new URLSearchParams({ dial, value: values[i] })}`;
        cell.append(Object.assign(new Image(), { alt: "", src }));
        const line = verdictLine({ state, measure, value, share, words: "" }, this.measures);
        if (line) cell.append(line);
        row.append(cell);
      });
      return row;
    });
    this.find("swept").replaceChildren(head, ...body);
    this.find("swept-said").textContent = holds
      ? `Within from ${shown(from, 0.01)} to ${shown(to, 0.01)}.`
      : "Where the dial stands it is over already.";
    this.find("set").hidden = !holds || from >= to || (from === values[0] && to === values.at(-1));
    this.find("set").textContent = `Let the dial run from ${shown(from, 0.01)} to ${shown(to, 0.01)}`;
  }

  async #setRange() {
    const { dial, from, to } = this.what;
    await this.#remedy(
      "/api/proofs/remedies/dial",
      { effect: this.effect, dial, min: from, max: to },
      `Dial “${dial}” runs from ${shown(from, 0.01)} to ${shown(to, 0.01)} now.`,
    );
  }

  async #remedy(address, request, sentence) {
    try {
      await send("POST", address, request);
      say(sentence);
      await this.on.changed(this.effect);
      await this.open(this.effect);
    } catch (error) {
      sayFault(error);
    }
  }
}

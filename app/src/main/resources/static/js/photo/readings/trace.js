// Trace of a spot: a waterfall of what each veil added, and the sentences that name the strongest.
import { send } from "../../base/web/http.js";
import { whileLookedAt } from "../../base/web/looked-at.js";
import { sayFault } from "../../base/web/say.js";
import { pickSpot, spotMark } from "../stage/spot.js";

const SETTLES_MS = 250;
const LEAST_SPAN = 6; // units across the waterfall at least, so that a small change looks small
const BEFORE = 0.35; // room for the whole bars before the lowest value, as a share of the span
const number = (v) => (Math.round(v * 10) / 10 || 0).toFixed(1).replace("-", "−");
const signed = (v) => (v >= 0.05 ? "+" : "") + number(v);

export class Trace {
  #spot = null;
  #data = null;
  #respect = "lightness";
  #timer;
  #asked = 0;

  /**
   * @param box section of the readings
   * @param stage the stage
   * @param source { address, body(): the stack as it is now, named(step): name of its effect or "" }
   * @param on { flash(step | null): show the picture without that veil, open(step): what made it }
   */
  constructor(box, stage, source, on) {
    this.box = box;
    this.stage = stage;
    this.source = source;
    this.on = on;
    this.mark = spotMark(stage);
    this.button = box.querySelector("[data-trace-pick]");
    this.button.addEventListener("click", () => this.pick());
    box.querySelector("[data-trace-close]").addEventListener("click", () => this.#take(null));
    this.rows = box.querySelector("[data-trace-rows]");
    this.respects = box.querySelector("[data-trace-respects]");
    this.#show();
  }

  async pick() {
    this.button.setAttribute("aria-pressed", "true");
    const spot = await pickSpot(this.stage);
    this.button.setAttribute("aria-pressed", "false");
    if (spot) this.#take(spot);
  }

  /** The picture has changed: trace anew once the hand rests. */
  changed() {
    if (!this.#spot) return;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => this.#ask(), SETTLES_MS);
  }

  #take(spot) {
    this.#spot = spot;
    this.#data = spot && this.#data;
    this.mark.show(spot);
    this.#show();
    if (spot) this.#ask();
  }

  async #ask() {
    const mine = ++this.#asked;
    try {
      const body = { ...this.source.body(), longSide: this.stage.longSide, spot: this.#spot };
      const data = await send("POST", this.source.address, body);
      if (mine !== this.#asked || !this.#spot) return;
      this.#data = data;
      this.#show();
    } catch (error) {
      sayFault(error);
    }
  }

  #show() {
    const data = this.#data;
    this.box.querySelector("[data-trace-hint]").hidden = Boolean(data);
    this.box.querySelector("[data-trace-close]").hidden = !this.#spot;
    this.button.textContent = data ? "Other spot" : "Trace a spot";
    if (!data) {
      this.rows.replaceChildren();
      this.respects.replaceChildren();
      this.box.querySelector("[data-trace-said]").replaceChildren();
      return;
    }
    this.respects.replaceChildren(...data.respects.map((r) => this.#respectButton(r)));
    const said = data.said.map((text) => Object.assign(document.createElement("li"), { textContent: text }));
    this.box.querySelector("[data-trace-said]").replaceChildren(...said);
    this.#waterfall();
  }

  #respectButton({ id, label, unit }) {
    const made = document.createElement("button");
    made.type = "button";
    made.textContent = unit;
    made.title = label;
    made.setAttribute("aria-label", label);
    made.setAttribute("aria-pressed", String(id === this.#respect));
    made.addEventListener("click", () => {
      this.#respect = id;
      this.#show();
    });
    return made;
  }

  #waterfall() {
    const { plain, steps, pixels } = this.#data;
    const of = (values) => values[this.#respect];
    const all = [of(plain), ...steps.map((s) => of(s.after))];
    const span = Math.max(LEAST_SPAN, Math.max(...all) - Math.min(...all));
    const low = Math.min(...all) - span * BEFORE;
    const share = (v) => ((v - low) / (span * (1 + BEFORE))) * 100;
    const rows = [this.#row("Plain photo", 0, share(of(plain)), number(of(plain)), "is-whole")];
    let before = of(plain);
    steps.forEach((step, i) => {
      const after = of(step.after);
      const words = `${i + 1} ${step.name}`;
      const row = this.#row(
        words,
        share(before),
        share(after),
        signed(after - before),
        after >= before ? "is-more" : "is-less",
      );
      row.tabIndex = 0;
      row.title = [this.source.named(step), step.name, "point here to see the picture without it, press to open it"]
        .filter(Boolean)
        .join(" · ");
      row.setAttribute("role", "button");
      whileLookedAt(
        row,
        () => this.on.flash(step),
        () => this.on.flash(null),
      );
      row.addEventListener("click", () => this.#open(step));
      row.addEventListener("keydown", (event) => event.key === "Enter" && this.#open(step));
      rows.push(row);
      before = after;
    });
    rows.push(this.#row("Finished", 0, share(before), number(before), "is-whole"));
    rows.at(-1).title = `median of ${pixels} pixels`;
    const focused = [...this.rows.children].indexOf(document.activeElement);
    this.rows.replaceChildren(...rows);
    this.rows.children[focused]?.focus();
  }

  #open(step) {
    this.on.flash(null);
    this.on.open(step);
  }

  #row(words, from, to, figure, look) {
    const row = document.createElement("div");
    row.className = `trace-row ${look}`;
    const name = document.createElement("span");
    name.textContent = words;
    const bar = document.createElement("i");
    bar.append(document.createElement("b"));
    bar.firstChild.style.left = `${Math.min(from, to)}%`;
    bar.firstChild.style.width = `${Math.max(1, Math.abs(to - from))}%`;
    const value = document.createElement("em");
    value.textContent = figure;
    row.append(name, bar, value);
    return row;
  }
}

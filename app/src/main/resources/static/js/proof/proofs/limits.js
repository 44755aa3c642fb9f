// Limits of a kit, and those that a section has in their place. Every change is saved when made.
import { send } from "../../base/web/http.js";
import { sayFault } from "../../base/web/say.js";

/** The limits of a section over those of the kit, as what counts: { bound, off, own } by measure. */
export function counting(measures, kit, section) {
  return measures.map((m) => {
    const own = section?.[m.id];
    const wider = kit[m.id];
    const counts = own ?? (wider === "off" ? "off" : (wider ?? m.start));
    return {
      ...m,
      off: counts === "off",
      bound: counts === "off" ? (typeof wider === "number" ? wider : m.start) : counts,
      own: section ? own !== undefined : wider !== undefined,
    };
  });
}

/** Limits with one of them set: a number, “off”, or undefined for what is above it. */
export function withLimit(limits, id, value) {
  const next = { ...limits };
  if (value === undefined) delete next[id];
  else next[id] = value;
  return next;
}

export class LimitsPanel {
  /**
   * @param data { kit, sections, measures, limits }
   * @param on { judged(answer): what the sheet is now }
   */
  constructor(box, data, on) {
    Object.assign(this, { box, data, on, limits: data.limits, whose: "kit" });
    this.rows = box.querySelector("[data-limit-rows]");
    this.choice = box.querySelector("[data-limit-whose]");
    this.choice.replaceChildren(
      new Option("The whole kit", "kit"),
      ...data.sections.map(([id, name]) => new Option(name, id)),
    );
    this.choice.addEventListener("change", () => {
      this.whose = this.choice.value;
      this.show();
    });
    this.show();
  }

  show() {
    const section = this.whose === "kit" ? null : (this.limits[this.whose] ?? {});
    this.rows.replaceChildren(
      ...counting(this.data.measures, this.limits.kit, section).map((m) => this.#row(m, section !== null)),
    );
  }

  #row({ id, label, unit, less, bound, off, own }, ofSection) {
    const row = document.createElement("li");
    row.dataset.limit = id;
    row.classList.toggle("is-own", own);
    const tick = Object.assign(document.createElement("input"), { type: "checkbox", checked: !off });
    tick.setAttribute("aria-label", `Judge ${label.toLowerCase()}`);
    tick.addEventListener("change", () =>
      this.#set(id, tick.checked ? (ofSection && this.limits.kit[id] === "off" ? bound : undefined) : "off", label),
    );
    const name = Object.assign(document.createElement("span"), { textContent: label });
    const field = Object.assign(document.createElement("input"), {
      className: "input",
      type: "number",
      value: bound,
      min: 0,
      max: less ? 100 : 1000,
      step: "any",
      disabled: off,
    });
    field.setAttribute("aria-label", `Limit of ${label.toLowerCase()}`);
    field.addEventListener("change", () => this.#set(id, field.value === "" ? undefined : Number(field.value), label));
    const words = Object.assign(document.createElement("small"), { textContent: `${unit}${less ? ", at least" : ""}` });
    const back = Object.assign(document.createElement("button"), {
      type: "button",
      className: "button quiet small",
      textContent: ofSection ? "As the kit" : "As at first",
      hidden: !own,
    });
    back.setAttribute("aria-label", `${label}: ${back.textContent.toLowerCase()}`);
    back.addEventListener("click", () => this.#set(id, undefined, label));
    row.append(tick, name, field, words, back);
    return row;
  }

  async #set(id, value, label) {
    const next = withLimit(this.limits[this.whose] ?? {}, id, value);
    const request = { limits: next, label: `limit of ${label.toLowerCase()}` };
    if (this.whose !== "kit") request.section = Number(this.whose);
    try {
      const answer = await send("PUT", `/api/proofs/${this.data.kit}/limits`, request);
      this.limits = { ...this.limits, [this.whose]: next };
      this.show();
      this.rows.querySelector(`[data-limit="${id}"] input`)?.focus();
      this.on.judged(answer);
    } catch (error) {
      this.show();
      sayFault(error);
    }
  }
}

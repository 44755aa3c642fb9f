// The health of the kit: what is wrong, with whom, and the step that mends it.
import { element } from "../../base/web/element.js";
import { found } from "../../proof/proofs/searching.js";
import { send } from "../../base/web/http.js";
import { redrawn } from "../../base/web/redrawn.js";
import { sayFault } from "../../base/web/say.js";

const MENDS = {
  OVER: "look",
  NOTE: "write",
  UNPLACED: "say where",
  PROMISE: "look",
  PROOF: "proof them",
  TWICE: "rename",
  OLDER: "compare",
  PLANNED: "build",
};

export class Health {
  /**
   * @param on { pick(ids), mend(ill, ids), section(id): removes it, swatch(swatch): removes it,
   *   dial({ effect, dial }): takes it out, kit: id, photos(): ids it is shown on }
   */
  constructor(box, on) {
    Object.assign(this, { box, on, closer: null, going: "" });
  }

  show(rack) {
    this.rack = rack;
    const lines = rack.ills.map((i) =>
      this.#line(
        i.effects.length,
        i.words,
        MENDS[i.ill],
        () => this.on.pick(i.effects),
        () => this.on.mend(i.ill, i.effects),
      ),
    );
    const empty = rack.sections.filter((s) => s.effects.length === 0);
    if (empty.length > 0)
      lines.push(
        this.#line(
          empty.length,
          `empty ${empty.length === 1 ? "section" : "sections"}: ${empty.map((s) => s.name).join(", ")}`,
          "remove",
          null,
          () => this.on.section(empty[0].id),
        ),
      );
    if (rack.swatches.length > 0)
      lines.push(
        this.#line(
          rack.swatches.length,
          `${rack.swatches.length === 1 ? "swatch" : "swatches"} that nothing has: ${rack.swatches[0].name}${rack.swatches.length > 1 ? " …" : ""}`,
          "remove",
          null,
          () => this.on.swatch(rack.swatches[0]),
        ),
      );
    lines.push(...this.#closer());
    const nothing =
      lines.length === 0
        ? [element("p", { className: "text-muted", textContent: "Nothing is missing, as far as it is seen at once." })]
        : [];
    const look = element("button", {
      type: "button",
      className: "button quiet small",
      textContent: this.going || "Look closer",
      title: "Look-alikes, and dials that nobody can see an effect of",
      disabled: this.going !== "",
    });
    look.addEventListener("click", () => this.#look());
    redrawn(
      this.box,
      element("header", {}, element("h2", { textContent: "Health of this kit" }), look),
      ...nothing,
      element("ul", {}, ...lines),
    );
  }

  #line(n, words, mend, pick, run) {
    const what = pick
      ? element("button", { type: "button", textContent: words, title: "Pick them" })
      : element("span", { textContent: words });
    if (pick) what.addEventListener("click", pick);
    const act = element("button", { type: "button", className: "mend", textContent: mend });
    act.setAttribute("aria-label", `${mend}: ${n} ${words}`);
    act.addEventListener("click", run);
    return element("li", {}, element("b", { textContent: n }), what, act);
  }

  #closer() {
    if (!this.closer) return [];
    const { alike, unseen, dials } = this.closer;
    const out = [];
    if (alike.length > 0)
      out.push(
        this.#line(
          alike.length,
          alike.length === 1 ? "pair that looks alike" : "pairs that look alike",
          "compare",
          () => this.on.pick(alike.flatMap((p) => p.slice(0, 2))),
          () => location.assign(`/proofs/${this.on.kit}#view=alike`),
        ),
      );
    if (unseen.length > 0) {
      const name = this.rack.effects.find((e) => e.id === unseen[0].effect)?.name;
      out.push(
        this.#line(
          unseen.length,
          `${unseen.length === 1 ? "dial" : "dials"} nobody can see an effect of: “${unseen[0].dial}” of ${name}`,
          "take out",
          () => this.on.pick(unseen.map((d) => d.effect)),
          () => this.#dialOff(unseen[0]),
        ),
      );
    }
    if (out.length === 0)
      out.push(
        element(
          "li",
          { className: "text-muted" },
          element("span", { textContent: `No two look alike, and all ${dials} dials do something.` }),
        ),
      );
    return out;
  }

  async #dialOff(dial) {
    await this.on.dial({ effect: dial.effect, dial: dial.dial });
    this.closer.unseen = this.closer.unseen.filter((d) => d !== dial);
    this.show(this.rack);
  }

  async #look() {
    this.going = "Looking";
    this.show(this.rack);
    try {
      const what = await found({ search: "dials", kit: this.on.kit, photos: this.on.photos() }, (how) => {
        this.box.querySelector("header button").textContent = how || "Looking";
      });
      const { pairs, bound } = await send("GET", `/api/proofs/${this.on.kit}/alike`);
      this.closer = {
        unseen: what?.unseen ?? [],
        dials: what?.dials ?? 0,
        alike: pairs.filter(([, , mean, , , both]) => mean < bound && !both),
      };
    } catch (error) {
      sayFault(error);
    }
    this.going = "";
    this.show(this.rack);
  }
}

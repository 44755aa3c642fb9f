// Beside the rack: the effect that is pointed at or has the focus, larger, with what is in it, how far
// it has come and what can be done with it; several picked ones side by side.
import { element } from "../../base/web/element.js";
import { redrawn } from "../../base/web/redrawn.js";
import { effectOf, numberOf } from "./rack-state.js";

const MOST = 4; // pictures side by side

const act = (name, words, label = words) => {
  const made = element("button", { type: "button", className: "button small", textContent: words });
  made.dataset.rackAct = name;
  made.setAttribute("aria-label", label);
  return made;
};

const count = (n, word) => (n === 0 ? "" : `${n} ${word}${n === 1 ? "" : "s"}`);

function whatIsIn(e) {
  const parts = [
    e.kinds.length === 0 ? "No veil yet" : count(e.kinds.length, "veil"),
    e.brushed > 0 ? `${e.brushed} brushed on` : "",
    count(e.dials.length, "dial"),
    e.start < 1 ? `starts at ${Math.round(e.start * 100)} %` : "",
    e.madeFor.length > 0 ? `made for ${e.madeFor.join(", ")}` : "",
    e.variantOf ? `a variant of ${e.variantOf}` : "",
    e.older ? `older edition, ${e.edition}` : `edition ${e.edition}`,
  ];
  return parts.filter(Boolean).join(" · ");
}

const picture = (id, photo, rev, name) =>
  element("img", { src: `/effects/${id}/on/${photo}?v=${rev}`, alt: name, draggable: false });

export class Beside {
  /** @param how { kit: id of the kit whose page it is, acts: whether things can be done here } */
  constructor(box, { kit = 0, acts = true }) {
    Object.assign(this, { box, kit, acts });
  }

  /** @param look { photo, picked, active } ; @param id of the effect that is shown, or 0 */
  show(rack, look, id) {
    const several = look.picked.size > 1 && look.picked.has(id) ? [...look.picked].slice(0, MOST) : [];
    if (several.length > 1) return redrawn(this.box, ...this.#several(rack, look, several));
    const effect = effectOf(rack, id);
    redrawn(
      this.box,
      ...(effect
        ? this.#one(rack, look, effect)
        : [element("p", { className: "text-muted", textContent: "Point at an effect to see it here." })]),
    );
  }

  #several(rack, look, ids) {
    const figures = ids.map((id) => {
      const e = effectOf(rack, id);
      return element(
        "figure",
        {},
        look.photo ? picture(id, look.photo, e.rev, "") : "",
        element("figcaption", { textContent: `${numberOf(rack, id)} ${e.name}` }),
      );
    });
    const more =
      look.picked.size > MOST
        ? [element("p", { className: "text-muted", textContent: `and ${look.picked.size - MOST} more` })]
        : [];
    return [
      element("h2", { textContent: `${look.picked.size} effects` }),
      element("div", { className: "beside-several" }, ...figures),
      ...more,
    ];
  }

  #one(rack, look, e) {
    const star = act(
      "favour-one",
      e.favourite ? "★" : "☆",
      e.favourite ? `${e.name} is no longer a favourite` : `Mark ${e.name} as a favourite`,
    );
    star.className = "button quiet small";
    const head = element("header", {}, element("h2", { textContent: e.name }), ...(this.acts ? [star] : []));
    const frame = element("div", { className: "beside-frame" });
    if (look.photo && e.state !== "planned") frame.append(picture(e.id, look.photo, e.rev, `${e.name} on the photo`));
    else
      frame.append(element("span", { textContent: e.state === "planned" ? "to be built" : "The test wall is empty." }));
    const out = [head, frame, element("p", { className: "beside-in", textContent: whatIsIn(e) })];
    if (e.note) out.push(element("p", { className: "note", textContent: e.note }));
    if (e.state !== "planned") out.push(element("p", { className: "text-muted", textContent: e.proofed }));
    if (e.lacks.length > 0 && e.state !== "planned")
      out.push(element("p", { className: "beside-lacks", textContent: `Missing: ${e.lacks.join(", ")}.` }));
    if (e.follows)
      out.push(
        element(
          "p",
          { className: "text-muted" },
          "Follows “",
          e.follows.name,
          "” of ",
          element("a", { href: e.follows.at, textContent: e.follows.kit, className: "underline" }),
          ".",
        ),
      );
    if (e.dials.length > 0)
      out.push(element("p", { className: "text-muted", textContent: `Dials: ${e.dials.join(", ")}` }));
    out.push(this.#tags(e), this.#ends(e));
    return out;
  }

  #tags(e) {
    const chips = e.tags.map((tag) => {
      const off = element("button", { type: "button", textContent: `#${tag} ×` });
      off.dataset.untag = tag;
      off.setAttribute("aria-label", `${e.name} no longer “${tag}”`);
      return off;
    });
    if (!this.acts) return element("p", { className: "text-muted", textContent: e.tags.map((t) => `#${t}`).join(" ") });
    return element("div", { className: "beside-tags" }, ...chips, act("tag-one", "Tag …", `Tag ${e.name}`));
  }

  #ends(e) {
    const bench = element("a", {
      className: "button small primary",
      href: `/bench/${e.id}`,
      textContent: e.state === "planned" ? "Build it" : "Open at the bench",
    });
    bench.setAttribute("aria-label", `Open ${e.name} at the bench`);
    if (!this.acts) return element("div", { className: "beside-ends" }, bench);
    const out = [bench, act("rename-one", "Rename", `Rename ${e.name}`)];
    if (e.state !== "planned") {
      out.push(
        act("variant-one", "Variant", `Make a variant of ${e.name}`),
        act("series-one", "Series …", `Make a series of ${e.name}`),
      );
      if (e.proofed.startsWith("Proofed"))
        out.push(element("a", { className: "button small", href: `/proofs/${this.kit}`, textContent: "Its proofs" }));
    }
    if (e.older) out.push(act("update-one", "Update …", `Update ${e.name}`));
    if (e.follows) out.push(act("let-go-one", "Let it go its own way"));
    return element("div", { className: "beside-ends" }, ...out);
  }
}

// Sections as rails with effects hanging from them. Elements stay while what they show changes, so that
// pictures are not fetched again and the keys stay where they are.
import { effectOf, numberOf } from "./rack-state.js";
import { fillPiece, newPiece } from "./piece.js";

const button = (words, act, label) => {
  const made = Object.assign(document.createElement("button"), {
    type: "button",
    className: "button quiet small",
    textContent: words,
  });
  made.dataset.sectionAct = act;
  made.setAttribute("aria-label", label);
  return made;
};

export class Rails {
  /** @param box that the sections are put into ; @param rules { id: words } ; @param marks { id: { sign, word } } */
  constructor(box, rules, marks) {
    Object.assign(this, { box, rules, marks, pieces: new Map(), sections: new Map() });
  }

  /** @param look { photo, picked: Set, active: id } */
  show(rack, look) {
    const kept = new Set();
    for (const effect of rack.effects) {
      const piece = this.#piece(effect.id);
      const address = look.photo ? `/effects/${effect.id}/on/${look.photo}?v=${effect.rev}` : "";
      fillPiece(piece, effect, { number: numberOf(rack, effect.id), address, mark: this.marks[effect.mark] });
      kept.add(effect.id);
    }
    for (const id of this.pieces.keys()) if (!kept.has(id)) this.#drop(id);
    const held = document.activeElement;
    const order = rack.sections.map((s) => this.#section(s, rack));
    for (const id of this.sections.keys()) if (!rack.sections.some((s) => s.id === id)) this.sections.delete(id);
    if (order.length !== this.box.children.length || order.some((e, i) => this.box.children[i] !== e))
      this.box.replaceChildren(...order);
    if (held !== document.activeElement && held?.isConnected) held.focus({ preventScroll: true });
    this.mark(look);
  }

  #piece(id) {
    if (!this.pieces.has(id)) this.pieces.set(id, newPiece(id));
    return this.pieces.get(id);
  }

  #drop(id) {
    this.pieces.get(id).remove();
    this.pieces.delete(id);
  }

  #section(section, rack) {
    let made = this.sections.get(section.id);
    if (!made) {
      made = document.createElement("section");
      made.className = "rail-section";
      made.dataset.section = section.id;
      const header = document.createElement("header");
      const rail = Object.assign(document.createElement("div"), { className: "hung" });
      rail.dataset.rail = section.id;
      rail.setAttribute("role", "listbox");
      rail.setAttribute("aria-multiselectable", "true");
      made.append(header, rail);
      this.sections.set(section.id, made);
    }
    const [header, rail] = made.children;
    rail.setAttribute("aria-label", `${section.number} ${section.name}`);
    rail.hidden = section.folded;
    made.classList.toggle("is-folded", section.folded);
    const facts = JSON.stringify([
      section.number,
      section.name,
      section.rule,
      section.folded,
      section.effects.length,
      section.mark,
    ]);
    if (header.dataset.facts !== facts) {
      header.dataset.facts = facts;
      this.#head(header, section);
    }
    const wanted = section.effects.filter((id) => effectOf(rack, id)).map((id) => this.#piece(id));
    if (wanted.length !== rail.children.length || wanted.some((e, i) => rail.children[i] !== e))
      rail.replaceChildren(...wanted);
    rail.classList.toggle("is-empty", wanted.length === 0);
    return made;
  }

  #head(header, section) {
    const fold = button(
      section.folded ? "▸" : "▾",
      "fold",
      section.folded ? `Let ${section.name} down` : `Fold ${section.name} up`,
    );
    fold.setAttribute("aria-expanded", String(!section.folded));
    const number = Object.assign(document.createElement("span"), { className: "number", textContent: section.number });
    const name = Object.assign(document.createElement("h2"), {
      textContent: section.name,
      title: "Drag to another place",
    });
    const n = section.effects.length;
    const rule = Object.assign(document.createElement("span"), {
      className: "rule",
      textContent: `${this.rules[section.rule]} · ${n === 1 ? "1 effect" : `${n} effects`}`,
    });
    rule.title = rule.textContent;
    const mark = this.marks[section.mark];
    const sign = mark
      ? [
          Object.assign(document.createElement("span"), {
            className: "section-mark",
            textContent: `${mark.sign} ${mark.word}`,
          }),
        ]
      : [];
    header.replaceChildren(
      fold,
      number,
      name,
      ...sign,
      rule,
      button("New effect", "new", `New effect in ${section.name}`),
      button("Plan …", "plan", `Plan effects in ${section.name}`),
      button("Change …", "change", `Change section ${section.name}`),
      button("Remove", "remove", `Remove section ${section.name}`),
    );
  }

  /** Shows what is picked, and which piece the keys start from. */
  mark({ picked, active }) {
    const first = this.pieces.has(active) ? active : this.box.querySelector(".piece-hung")?.dataset.effect;
    for (const [id, piece] of this.pieces) {
      piece.classList.toggle("is-picked", picked.has(id));
      piece.setAttribute("aria-selected", String(picked.has(id)));
      piece.tabIndex = id === Number(first) ? 0 : -1;
    }
  }

  focus(id) {
    const piece = this.pieces.get(id);
    piece?.focus({ preventScroll: true });
    piece?.scrollIntoView({ block: "nearest" });
  }

  /** Where the pieces of a rail are, in order, without some of them. */
  boxes(section, without = new Set()) {
    const rail = this.box.querySelector(`[data-rail="${section}"]`);
    return [...rail.children]
      .map((piece) => ({ id: Number(piece.dataset.effect), ...plain(piece.getBoundingClientRect()) }))
      .filter((b) => !without.has(b.id));
  }

  /** Where all pieces in sight are. */
  all() {
    return [...this.pieces]
      .filter(([, p]) => p.offsetParent)
      .map(([id, p]) => ({ id, ...plain(p.getBoundingClientRect()) }));
  }
}

const plain = ({ left, top, right, bottom }) => ({ left, top, right, bottom });

// What an effect says of itself: the note for the photographer, what that promises and no dial keeps, the
// opacity that it goes on at, and the photos that it is made for.
import { element } from "../../base/web/element.js";

/** The tags with one more, or without it. */
export const toggled = (tags, tag) => (tags.includes(tag) ? tags.filter((t) => t !== tag) : [...tags, tag]);

/** The effect going on at a share, 0…1; all of it is not written down. */
export function startingAt(effect, share) {
  const next = { ...effect, start: share };
  if (share >= 1) delete next.start;
  return next;
}

export class Words {
  /**
   * @param find gives parts of the page by their data name
   * @param state with tagGroups: [{ label, tags }], and promises that are not kept
   * @param take changes the effect: (function, label); without a label while the hand moves
   */
  constructor(find, { tagGroups, promises }, take) {
    Object.assign(this, {
      note: find("note"),
      promises: find("promises"),
      goes: find("goes-on"),
      said: find("goes-on-at"),
      made: find("made-for"),
      add: find("made-for-add"),
      take,
    });
    this.note.addEventListener("change", () => take((e) => ({ ...e, note: this.note.value }), "note"));
    this.goes.addEventListener("input", () => take((e) => startingAt(e, this.goes.value / 100)));
    this.goes.addEventListener("change", () => take((e) => startingAt(e, this.goes.value / 100), "start opacity"));
    this.goes.addEventListener("dblclick", () => take((e) => startingAt(e, 1), "start opacity"));
    this.add.replaceChildren(
      new Option("for photos that are …", ""),
      ...tagGroups
        .filter((g) => g.tags.length > 0 && !g.tags.includes("chart"))
        .map((g) => {
          const group = element("optgroup", { label: g.label });
          group.append(...g.tags.map((t) => new Option(t, t)));
          return group;
        }),
    );
    this.promise(promises);
    this.add.addEventListener("change", () => {
      const tag = this.add.value;
      this.add.value = "";
      if (tag) this.#toggle(tag);
    });
  }

  #toggle(tag) {
    this.take((e) => ({ ...e, madeFor: toggled(e.madeFor ?? [], tag) }), `made for ${tag}`);
  }

  /** What is being typed stays. */
  show(effect) {
    if (document.activeElement !== this.note) this.note.value = effect.note;
    const percent = Math.round((effect.start ?? 1) * 100);
    if (document.activeElement !== this.goes || Number(this.goes.value) !== percent) this.goes.value = percent;
    this.said.textContent = `${percent} %`;
    const tags = effect.madeFor ?? [];
    this.made.replaceChildren(
      ...(tags.length === 0
        ? ["any photo"]
        : tags.map((tag) => {
            const chip = element("button", { type: "button", className: "tag", textContent: `${tag} ×` });
            chip.setAttribute("aria-label", `No longer made for ${tag}`);
            chip.addEventListener("click", () => this.#toggle(tag));
            return chip;
          })),
    );
  }

  promise(promises) {
    this.promises.textContent = promises.join(" ");
    this.promises.hidden = promises.length === 0;
  }
}

// The lists at the side: this kit's sections, the other kits, what goes across kits, and the photos
// that the kit is shown on.
import { element } from "../../base/web/element.js";
import { tally } from "./rack-state.js";

const line = (tag, fields, words, n) =>
  element(
    "li",
    {},
    element(
      tag,
      fields,
      element("span", { textContent: words }),
      ...(n === undefined ? [] : [element("small", { textContent: n })]),
    ),
  );

export class Side {
  /** @param page the main element ; @param others other kits { id, name, effects, sections } */
  constructor(page, others) {
    this.page = page;
    this.others = others;
    this.#kits();
  }

  #find(name) {
    return this.page.querySelector(`[data-${name}]`);
  }

  show(rack, photo) {
    this.#find("tally").textContent = tally(rack);
    this.#find("side-sections").replaceChildren(
      ...rack.sections.map((s) => {
        const item = line("button", { type: "button" }, `${s.number} ${s.name}`, s.effects.length);
        item.firstChild.dataset.toSection = s.id;
        item.firstChild.dataset.dropSection = s.id;
        return item;
      }),
    );
    const unfinished = rack.effects.filter((e) => e.state !== "ready").length;
    this.#find("side-across").replaceChildren(
      line("a", { href: "/find?q=favourite" }, "★ Favourites"),
      line("a", { href: "/find?q=unfinished" }, "Unfinished", unfinished > 0 ? `${unfinished} here` : undefined),
      line("a", { href: `/find?q=${encodeURIComponent("not proofed")}` }, "Not proofed"),
      ...rack.tags.map((tag) => line("a", { href: `/find?q=${encodeURIComponent(`#${tag}`)}` }, `#${tag}`)),
    );
    this.#find("shown").replaceChildren(
      ...rack.photos.map((p) => {
        const button = element(
          "button",
          { type: "button", title: p.id === rack.cover ? `${p.name}: stands for the kit` : p.name },
          element("img", { src: `/photos/${p.id}/small`, alt: p.name }),
        );
        button.dataset.photo = p.id;
        button.setAttribute("aria-pressed", String(p.id === photo));
        button.classList.toggle("is-cover", p.id === rack.cover);
        return button;
      }),
    );
  }

  #kits() {
    this.#find("others-head").hidden = this.others.length === 0;
    this.#find("side-kits").replaceChildren(
      ...this.others.map((k) => {
        const item = line("a", { href: `/kits/${k.id}`, draggable: false }, k.name, k.effects);
        item.className = "side-kit";
        const sections = element("ul", {});
        for (const s of k.sections) {
          const drop = element("li", { textContent: s.name });
          drop.dataset.dropSection = s.id;
          sections.append(drop);
        }
        item.append(sections);
        return item;
      }),
    );
  }
}

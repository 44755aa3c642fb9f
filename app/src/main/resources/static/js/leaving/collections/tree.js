// The tree of what goes in: boxes for kits, sections and effects, and the order of the kits.
import { element } from "../../base/web/element.js";
import { countOf, goesIn, inOrder, kitWords, moveKit, tickEffect, tickKit, tickOf, tickSection } from "./contents.js";

/** What is folded open is how the page is looked at, and not stored. */
export class Tree {
  #open = new Set();

  /** @param change (function of the document, label) */
  constructor(list, kits, change) {
    Object.assign(this, { list, kits, change });
    list.addEventListener("change", (event) => this.#tick(event.target));
    list.addEventListener("click", (event) => this.#click(event.target.closest("button")));
  }

  show(doc) {
    this.doc = doc;
    const held = document.activeElement?.dataset?.tick ?? document.activeElement?.dataset?.act;
    this.list.replaceChildren(...inOrder(doc, this.kits).map((kit) => this.#kit(kit)));
    if (held) this.list.querySelector(`[data-tick="${held}"], [data-act="${held}"]`)?.focus();
  }

  #kit(kit) {
    const { doc } = this;
    const chosen = doc.kits.includes(kit.id);
    const at = doc.kits.indexOf(kit.id);
    const counts = kit.sections.map((s) => tickOf(doc, kit, s));
    const partly = chosen && counts.some((c) => !c.ticked || c.partly);
    const moves =
      chosen && doc.kits.length > 1
        ? [this.#move(kit, -1, at === 0), this.#move(kit, 1, at === doc.kits.length - 1)]
        : [];
    const head = element(
      "div",
      { className: "tick-line is-kit" },
      this.#box(`kit:${kit.id}`, kit.name, chosen, partly),
      ...moves,
      element("small", { textContent: kitWords(doc, kit) }),
    );
    const sections = chosen ? kit.sections.map((s) => this.#section(kit, s)) : [];
    return element("li", {}, head, element("ul", {}, ...sections));
  }

  #move(kit, by, disabled) {
    const button = element("button", {
      type: "button",
      className: "button quiet small",
      textContent: by < 0 ? "↑" : "↓",
      disabled,
      title: by < 0 ? "Goes in earlier" : "Goes in later",
    });
    button.dataset.act = `move:${kit.id}:${by}`;
    button.setAttribute("aria-label", `${kit.name} ${by < 0 ? "earlier" : "later"}`);
    return button;
  }

  #section(kit, section) {
    const { ticked, partly } = tickOf(this.doc, kit, section);
    const { n, of } = countOf(this.doc, kit, section);
    const open = this.#open.has(section.id);
    const more = element("button", { type: "button", className: "button quiet small", textContent: open ? "▾" : "▸" });
    more.dataset.act = `open:${section.id}`;
    more.setAttribute("aria-expanded", String(open));
    more.setAttribute("aria-label", `Effects of ${section.name}`);
    const line = element(
      "div",
      { className: "tick-line" },
      more,
      this.#box(`section:${section.id}`, section.name, ticked, partly),
      element("small", { textContent: `${n} of ${of}` }),
    );
    const effects = open ? section.effects.map((e) => this.#effect(kit, section, e)) : [];
    return element("li", {}, line, element("ul", {}, ...effects));
  }

  #effect(kit, section, effect) {
    const old = effect.older ? [element("small", { className: "section-mark", textContent: "older edition" })] : [];
    return element(
      "li",
      { className: "tick-line" },
      this.#box(`effect:${effect.id}`, effect.name, goesIn(this.doc, kit, section, effect), false),
      ...old,
    );
  }

  #box(tick, name, checked, indeterminate) {
    const input = element("input", { type: "checkbox", checked, indeterminate });
    input.dataset.tick = tick;
    return element("label", { title: name }, input, element("span", { textContent: name }));
  }

  #find(tick) {
    const [what, id] = tick.split(":");
    for (const kit of this.kits) {
      if (what === "kit" && String(kit.id) === id) return { what, kit };
      for (const section of kit.sections) {
        if (what === "section" && String(section.id) === id) return { what, kit, section };
        const effect = what === "effect" && section.effects.find((e) => String(e.id) === id);
        if (effect) return { what, kit, section, effect };
      }
    }
    return null;
  }

  #tick(input) {
    const found = this.#find(input.dataset.tick);
    if (!found) return;
    const { what, kit, section, effect } = found;
    const on = input.checked;
    const ticked = {
      kit: (doc) => tickKit(doc, kit, on),
      section: (doc) => tickSection(doc, kit, section, on),
      effect: (doc) => tickEffect(doc, kit, section, effect, on),
    };
    this.change(ticked[what], `${on ? "put in" : "leave out"} ${(effect ?? section ?? kit).name}`);
  }

  #click(button) {
    const [act, id, by] = button?.dataset.act?.split(":") ?? [];
    if (act === "move") this.change((doc) => moveKit(doc, Number(id), Number(by)), "order of kits");
    if (act !== "open") return;
    const section = Number(id);
    if (!this.#open.delete(section)) this.#open.add(section);
    this.show(this.doc);
  }
}

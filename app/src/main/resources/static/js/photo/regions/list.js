// The list of a photo's regions, and what is done to the open one.
import { ruleEditor } from "../mask/rule-editor.js";
import { redrawn } from "../../base/web/redrawn.js";
import { asRegion, free, how, share, words } from "./held.js";

const ALL = [
  ["fill", "Fill", "All of the photo"],
  ["invert", "Invert", "Turn round what is painted"],
  ["clear", "Clear", "Take all paint off"],
];

const word = (tag, textContent) => Object.assign(document.createElement(tag), { textContent });

export class List {
  /**
   * @param root element
   * @param given { names, most, masks }
   * @param on { open(id), add(name), rename(id, name), drop(id), found(id, how), all(id, how),
   *   mask(id, mask, label; none while a slider moves), pick(), read(id, file), paper(id): address }
   */
  constructor(root, { names, most, masks }, on) {
    Object.assign(this, { names, most, on });
    this.find = (name) => root.querySelector(`[data-region-${name}]`);
    this.rules = ruleEditor(masks, {
      input: (mask) => on.mask(this.open.id, asRegion(mask)),
      change: (mask, label) => on.mask(this.open.id, asRegion(mask), label),
      pick: on.pick,
    });
    this.find("rules").append(this.rules.element);
    this.buttons = new Map(
      ALL.map(([act, text, title]) => {
        const made = Object.assign(document.createElement("button"), {
          type: "button",
          className: "button small",
          textContent: text,
          title,
        });
        made.dataset.paint = act;
        made.addEventListener("click", () => on.all(this.open.id, act));
        this.find("all").append(made);
        return [act, made];
      }),
    );
    for (const button of root.querySelectorAll("[data-found]"))
      button.addEventListener("click", () => on.found(this.open.id, button.dataset.found));
    this.found = [...root.querySelectorAll("[data-found]")];
    this.name = this.find("name");
    this.name.addEventListener("change", () => {
      if (this.name.value.trim() === "") this.name.value = this.open.name;
      else on.rename(this.open.id, this.name.value.trim());
    });
    this.name.addEventListener("keydown", (event) => event.key === "Enter" && this.name.blur());
    this.find("drop").addEventListener("click", () => on.drop(this.open.id));
    this.file = this.find("read");
    this.file.addEventListener("change", () => {
      if (this.file.files[0]) on.read(this.open.id, this.file.files[0]);
      this.file.value = "";
    });
    this.add = this.find("add");
    this.add.addEventListener("change", () => this.add.value && on.add(this.add.value));
    this.own = this.find("own");
    this.own.addEventListener("submit", (event) => {
      event.preventDefault();
      const name = this.own.elements.name.value.trim();
      if (name) on.add(name);
      this.own.reset();
    });
  }

  /**
   * @param shown { held, open: region or undefined, painted: strokes by id, shares: by id, facts: [[name,
   *   words] …] }
   */
  show({ held, open, painted, shares, facts }) {
    this.open = open;
    this.find("facts").replaceChildren(...facts.flatMap(([name, words]) => [word("dt", name), word("dd", words)]));
    redrawn(
      this.find("list"),
      ...held.regions.map((region) =>
        this.#row(region, region === open, painted[region.id] ?? 0, shares[region.id] ?? 0),
      ),
    );
    this.find("none").hidden = held.regions.length > 0;
    this.find("open").hidden = !open;
    const names = free(held, this.names);
    const full = held.regions.length >= this.most;
    this.add.replaceChildren(new Option("Add a region …", ""), ...names.map((name) => new Option(name, name)));
    this.add.disabled = this.own.elements.name.disabled = full;
    if (!open) return;
    const strokes = painted[open.id] ?? 0;
    if (document.activeElement !== this.name) this.name.value = open.name;
    for (const button of this.found) button.setAttribute("aria-pressed", String(button.dataset.found === how(open)));
    this.find("painted").hidden = open.left;
    this.buttons.get("invert").hidden = open.mask.cover === "by-rule" || open.picture !== ""; // paint alone is turned round
    this.buttons.get("clear").disabled = strokes === 0;
    this.find("rules").hidden = open.left || open.mask.cover !== "by-rule";
    if (!this.find("rules").hidden) this.rules.show(open.mask);
    this.find("save").href = this.on.paper(open.id);
  }

  #row(region, open, strokes, part) {
    const button = document.createElement("button");
    button.type = "button";
    button.dataset.region = region.id;
    button.setAttribute("aria-pressed", String(open));
    button.append(word("b", region.name), word("span", share(part)), word("small", words(region, strokes)));
    button.addEventListener("click", () => this.on.open(region.id));
    const row = document.createElement("li");
    row.append(button);
    return row;
  }

  tones(histogram) {
    this.rules.tones(histogram);
  }
}

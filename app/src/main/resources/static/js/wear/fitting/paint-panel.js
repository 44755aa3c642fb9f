// What is done to the mask under the brush: all of its paint at once, its edge, what it is kept off,
// taking over another mask, and paint as a file.
import { slider } from "../../base/editors/slider.js";
import { guardAt, guarded } from "../../photo/mask/rules.js";
import { say } from "../../base/web/say.js";

const ALL = [
  ["fill", "Fill", "Show all of it on this photo"],
  ["invert", "Invert", "Turn round where it is shown"],
  ["clear", "Clear", "Take all paint off it"],
];

const MOST_BYTES = 40_000_000;

export class PaintPanel {
  #mask = null;

  /**
   * @param box element
   * @param descriptors { guards, edges }
   * @param on { all(how), mask(mask, label; none while a slider moves), others(): [{ effect, veil,
   *   words }], copy(effect, veil), load(paint) }
   */
  constructor(box, { guards, edges }, on) {
    Object.assign(this, { box, guards, on });
    const find = (name) => box.querySelector(`[data-paint-${name}]`);
    this.name = find("name");
    this.paper = find("save");
    this.all = new Map(
      ALL.map(([how, text, title]) => [how, this.#button(find("all"), text, title, () => on.all(how))]),
    );
    this.guarding = guards.map((guard) => {
      const title = `Keep it off: ${guard.label.toLowerCase()}${guard.caution ? `. ${guard.caution}` : ""}`;
      return this.#button(find("guards"), guard.label, title, () =>
        on.mask(guarded(this.#mask, guard), `guard of ${guard.label.toLowerCase()}`),
      );
    });
    this.edges = edges.map((setting) => {
      const give = (value) => ({ ...this.#mask, [setting.key]: value });
      const made = slider(setting, setting.start, {
        input: (value) => on.mask(give(value)),
        change: (value) => on.mask(give(value), `${setting.label.toLowerCase()} the mask`),
      });
      find("edges").append(made.element);
      return [setting, made];
    });
    this.from = find("from");
    this.from.addEventListener("pointerdown", () => this.#offer());
    this.from.addEventListener("focus", () => this.#offer());
    this.from.addEventListener("change", () => {
      const one = this.offered[this.from.selectedIndex - 1];
      if (one) on.copy(one.effect, one.veil);
      this.from.selectedIndex = 0;
    });
    find("load").addEventListener("change", (event) => this.#load(event.target));
  }

  #button(box, text, title, run) {
    const made = Object.assign(document.createElement("button"), {
      type: "button",
      className: "button small",
      textContent: text,
      title,
    });
    made.addEventListener("click", run);
    box.append(made);
    return made;
  }

  #offer() {
    const offered = this.on.others();
    if (JSON.stringify(offered) === JSON.stringify(this.offered)) return;
    this.offered = offered;
    this.from.replaceChildren(
      new Option("Copy the mask of …", ""),
      ...offered.map((one, i) => new Option(one.words, i)),
    );
  }

  async #load(input) {
    const [file] = input.files;
    input.value = "";
    if (!file) return;
    try {
      if (file.size > MOST_BYTES) throw new Error("too large");
      this.on.load(JSON.parse(await file.text()));
    } catch {
      say(`“${file.name}” is not a file of paint; nothing was changed.`);
    }
  }

  /**
   * @param brushed what is under the brush, or null
   * @param how { painted: whether it has paint, paper: address of the paint as a file }
   */
  show(brushed, { painted, paper }) {
    this.box.hidden = !brushed;
    if (!brushed) return;
    this.#mask = brushed.mask;
    this.name.textContent = brushed.name;
    this.paper.href = paper;
    this.paper.hidden = !painted;
    this.all.get("clear").disabled = !painted;
    this.all.get("fill").disabled = !painted && brushed.mask.cover === "everywhere";
    this.guarding.forEach((button, i) =>
      button.setAttribute("aria-pressed", String(guardAt(brushed.mask, this.guards[i]) >= 0)),
    );
    const edged = painted || brushed.mask.cover !== "everywhere";
    for (const [setting, made] of this.edges) {
      made.element.hidden = !edged;
      made.set(brushed.mask[setting.key] ?? setting.start);
    }
  }
}

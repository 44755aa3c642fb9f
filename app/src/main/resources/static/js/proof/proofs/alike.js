// The map of look-alikes: effects lie as far from one another as they look, threads join those that
// can hardly be told apart.
import { svg } from "../../base/editors/svg.js";
import { send } from "../../base/web/http.js";
import { say, sayFault } from "../../base/web/say.js";
import { spread } from "./spread.js";

const SIZE = { width: 96, height: 92 };
const LEAST = 58;

export class Alike {
  /**
   * @param box of the view
   * @param column beside it
   * @param data { kit, photos, kits }
   * @param on { undone(): something was done that can be taken back }
   */
  constructor(box, column, data, on) {
    Object.assign(this, { box, column, data, on, picked: null });
    const find = (name) => box.querySelector(`[data-alike-${name}]`) ?? column.querySelector(`[data-alike-${name}]`);
    Object.assign(this, { find, map: find("map") });
    find("photo").replaceChildren(...data.photos.map((p) => new Option(p[1], p[0])));
    find("photo").addEventListener("change", () => this.#draw());
    find("other").addEventListener("change", () => this.open());
    find("bound").addEventListener("input", () => this.#draw());
    new ResizeObserver(() => !box.hidden && this.answer && this.#draw()).observe(this.map);
    for (const how of ["first", "second", "variant", "both"])
      find(how).addEventListener("click", () => this.#decide(how));
  }

  async open() {
    try {
      const other = this.find("other").value;
      this.answer = await send("GET", `/api/proofs/${this.data.kit}/alike${other ? `?other=${other}` : ""}`);
      this.picked = null;
      this.#draw();
    } catch (error) {
      sayFault(error);
    }
  }

  get bound() {
    return Number(this.find("bound").value);
  }

  #near() {
    return this.answer.pairs.filter(([, , mean, most]) => mean < this.bound && most < 2 * this.bound);
  }

  #draw() {
    const { effects, there, total } = this.answer;
    this.find("of").textContent = `ΔE ${this.bound.toFixed(1)}`;
    this.find("missing").textContent =
      there < total ? `${total - there} proofs are not rendered yet; they say nothing here.` : "";
    const room = { width: this.map.clientWidth, height: this.map.clientHeight };
    const scale = Math.max(
      LEAST / SIZE.width,
      Math.min(1.1, Math.sqrt((room.width * room.height) / (effects.length * SIZE.width * SIZE.height * 4))),
    );
    const size = { width: Math.round(SIZE.width * scale), height: Math.round(SIZE.height * scale) };
    const at = spread(
      effects.map(([, , x, y]) => [x, y]),
      room,
      { width: size.width + 8, height: size.height + 8 },
    );
    const places = new Map(effects.map(([id], i) => [id, at[i]]));
    const photo = this.find("photo").value;
    const threads = svg("svg", { class: "threads", width: room.width, height: room.height, "aria-hidden": "true" });
    for (const [one, two, , , , both] of this.#near()) {
      const [a, b] = [places.get(one), places.get(two)];
      const middle = (p) => [p[0] + size.width / 2, p[1] + size.height / 2.6];
      const [[x1, y1], [x2, y2]] = [middle(a), middle(b)];
      svg("line", { x1, y1, x2, y2, class: both ? "is-both" : "" }, threads);
    }
    this.map.replaceChildren(threads, ...effects.map(([id, name], i) => this.#effect(id, name, at[i], size, photo)));
    this.#list();
    this.#pair();
  }

  #effect(id, name, [left, top], size, photo) {
    const made = Object.assign(document.createElement("button"), { type: "button", className: "on-map", title: name });
    made.dataset.effect = id;
    Object.assign(made.style, {
      left: `${left}px`,
      top: `${top}px`,
      width: `${size.width}px`,
      height: `${size.height}px`,
    });
    const words = Object.assign(document.createElement("span"), { textContent: name });
    made.append(
      Object.assign(new Image(), { alt: "", src: `/proofs/pictures/${id}/${photo}`, draggable: false }),
      words,
    );
    made.classList.toggle("is-picked", this.picked?.slice(0, 2).includes(id) ?? false);
    made.addEventListener("click", () => {
      const near = this.answer.pairs.find(([one, two]) => one === id || two === id);
      if (near) this.pick(near);
      else say(`Nothing is near “${name}”.`);
    });
    return made;
  }

  #list() {
    const near = this.#near();
    const name = new Map(this.answer.effects.map(([id, words]) => [id, words]));
    this.find("count").textContent =
      near.length === 0
        ? "No two are nearer than this."
        : `${near.length} ${near.length === 1 ? "pair" : "pairs"} nearer than ΔE ${this.bound.toFixed(1)}`;
    this.find("pairs").replaceChildren(
      ...near.map((pair) => {
        const [one, two, mean, , , both] = pair;
        const row = Object.assign(document.createElement("button"), { type: "button" });
        row.dataset.pair = `${one}:${two}`;
        row.append(
          Object.assign(document.createElement("span"), { textContent: `${name.get(one)} · ${name.get(two)}` }),
          Object.assign(document.createElement("b"), { textContent: both ? "both wanted" : `ΔE ${mean.toFixed(1)}` }),
        );
        row.setAttribute("aria-pressed", String(this.picked?.[0] === one && this.picked?.[1] === two));
        row.addEventListener("click", () => this.pick(pair));
        const item = document.createElement("li");
        item.append(row);
        return item;
      }),
    );
  }

  async pick(pair) {
    this.picked = pair;
    this.#draw();
    try {
      const { differ } = await send("GET", `/api/proofs/alike/${pair[0]}/${pair[1]}`);
      if (this.picked !== pair) return;
      const lines = differ
        .slice(0, 8)
        .map((line) => Object.assign(document.createElement("li"), { textContent: line }));
      if (differ.length > 8)
        lines.push(Object.assign(document.createElement("li"), { textContent: `and ${differ.length - 8} more` }));
      this.find("differ").replaceChildren(
        ...(differ.length === 0
          ? [Object.assign(document.createElement("li"), { textContent: "Their veils are equal." })]
          : lines),
      );
    } catch (error) {
      sayFault(error);
    }
  }

  #pair() {
    const { picked } = this;
    this.find("pair").hidden = !picked;
    if (!picked) return;
    const [one, two, mean, most, photo, both] = picked;
    const name = new Map(this.answer.effects.map(([id, words]) => [id, words]));
    const wall = new Map(this.data.photos.map((p) => [p[0], p[1]]));
    this.find("names").textContent = `${name.get(one)} and ${name.get(two)}`;
    this.find("far").textContent =
      `ΔE00 ${mean.toFixed(1)} on average, ${most.toFixed(1)} on ${wall.get(photo)}, where they differ most`;
    const sources = [
      `/proofs/pictures/${one}/${photo}`,
      `/proofs/pictures/${two}/${photo}`,
      `/proofs/pictures/difference?one=${one}&two=${two}&photo=${photo}`,
    ];
    [...this.find("three").querySelectorAll("img")].forEach((image, i) => (image.src = sources[i]));
    [...this.find("three").querySelectorAll("figcaption")].forEach(
      (words, i) => (words.textContent = [name.get(one), name.get(two), "difference × 8"][i]),
    );
    this.find("first").textContent = `Keep ${name.get(one)} alone`;
    this.find("second").textContent = `Keep ${name.get(two)} alone`;
    this.find("both").textContent = both ? "No longer both wanted" : "Both are wanted";
  }

  async #decide(how) {
    const [one, two, , , , both] = this.picked;
    const requests = {
      first: [one, two, "keep"],
      second: [two, one, "keep"],
      variant: [one, two, "variant"],
      both: [one, two, both ? "ask" : "both"],
    };
    const [a, b, word] = requests[how];
    try {
      await send("POST", `/api/proofs/alike/${a}/${b}`, { how: word });
      const said = {
        keep: "The other one was removed from its kit.",
        variant: "The second one is a variant of the first now.",
        both: "Both are wanted; it is remembered.",
        ask: "They count as look-alikes again.",
      };
      this.on.undone(said[word]);
      await this.open();
    } catch (error) {
      sayFault(error);
    }
  }
}

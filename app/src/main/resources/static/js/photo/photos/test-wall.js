// The page of the test wall: search, order, groups, tags for several photos at once, and what the wall
// lacks.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { sayAfterReload, sayFault } from "../../base/web/say.js";
import { reload } from "../../base/web/leaving.js";
import { picked } from "../../base/web/picked.js";
import { picture } from "./pictures.js";
import { grouped, known, photoOf, seen } from "./wall-state.js";

const ASK_MS = 60;
const root = document.querySelector("[data-test-wall]");
const { photos: list, groups: tagGroups } = JSON.parse(root.dataset.state);
const find = (name) => root.querySelector(`[data-${name}]`);
class TestWall {
  constructor() {
    Object.assign(this, {
      photos: list.map(photoOf),
      groups: tagGroups,
      wish: {},
      by: "",
      chosen: new Set(),
      last: null,
      figures: new Map(),
    });
    find("find").addEventListener("input", (event) => this.#look({ words: event.target.value }));
    find("wall-tag").addEventListener("change", (event) => this.#look({ tag: event.target.value }));
    find("wall-order").addEventListener("change", (event) => this.#look({ order: event.target.value }));
    find("wall-group").addEventListener("change", (event) => {
      this.by = event.target.value;
      this.draw();
    });
    find("wall-give").addEventListener("change", (event) => {
      const [on, tag] = [event.target.value[0] === "+", event.target.value.slice(1)];
      event.target.value = "";
      if (tag) this.#tag([...this.chosen], tag, on);
    });
    find("wall-own").addEventListener("submit", (event) => {
      event.preventDefault();
      const [field] = event.target.elements;
      if (field.value.trim()) this.#tag([...this.chosen], field.value, true);
      field.value = "";
    });
    find("wall-off").addEventListener("click", () => this.#takeOff());
    find("wall-none").addEventListener("click", () => this.#pick(new Set()));
    find("wall-group").append(
      new Option("By subject, as measured", "subject"),
      ...this.groups.slice(0, -1).map((g) => new Option(`By ${g.label.toLowerCase()}`, g.label)),
    );
    this.choices();
    this.draw();
  }

  #look(change) {
    Object.assign(this.wish, change);
    this.draw();
  }

  choices() {
    const used = new Set(this.photos.flatMap((p) => p.tags));
    const tags = find("wall-tag");
    const was = tags.value;
    tags.replaceChildren(new Option("Any tag", ""), ...[...used].sort().map((t) => new Option(t, t)));
    tags.value = used.has(was) ? was : "";
    const group = (label, sign, some) => {
      const made = Object.assign(document.createElement("optgroup"), { label });
      made.append(...some.map((t) => new Option(t, sign + t)));
      return made;
    };
    const all = this.groups.filter((g) => g.tags.length > 0);
    find("wall-give").replaceChildren(
      new Option("Tag …", ""),
      ...all.map((g) => group(g.label, "+", g.tags)),
      ...(used.size > 0 ? [group("No longer", "-", [...used].sort())] : []),
    );
  }

  draw() {
    const now = seen(this.photos, this.wish);
    const groups = grouped(now, this.by, this.groups);
    this.order = groups.flatMap(([, some]) => some.map((p) => p.id));
    find("wall-count").textContent = now.length === this.photos.length ? "" : `${now.length} of ${this.photos.length}`;
    const twice = new Set();
    find("wall-groups").replaceChildren(
      ...groups.map(([name, some]) => {
        const section = element("section", { className: "wall-group" });
        if (name) section.append(element("h2", { textContent: `${name}, ${some.length}` }));
        const wall = element("div", { className: "wall" });
        for (const photo of some) {
          wall.append(this.#figure(photo, twice.has(photo.id)));
          twice.add(photo.id);
        }
        section.append(wall);
        return section;
      }),
    );
    this.#mark();
  }

  #figure(photo, again) {
    let figure = again ? null : this.figures.get(photo.id);
    if (!figure) {
      figure = picture([photo.id, photo.name, photo.width, photo.height], "/photos/");
      const pick = element("button", { type: "button", className: "wall-pick" });
      pick.setAttribute("aria-label", `Pick ${photo.name}`);
      pick.addEventListener("click", (event) => {
        const how = { ctrl: event.ctrlKey || event.metaKey || !event.shiftKey, shift: event.shiftKey, last: this.last };
        this.last = photo.id;
        this.#pick(picked(this.chosen, this.order, photo.id, how));
      });
      figure.append(pick, element("p", { className: "wall-facts" }));
      if (!again) this.figures.set(photo.id, figure);
    }
    figure.querySelector(".wall-facts").textContent = [photo.line, photo.tags.join(" · ")].filter(Boolean).join(" · ");
    return figure;
  }

  #pick(next) {
    this.chosen = next;
    this.#mark();
  }

  #mark() {
    for (const figure of root.querySelectorAll("figure[data-photo]")) {
      const on = this.chosen.has(Number(figure.dataset.photo));
      figure.classList.toggle("is-picked", on);
      figure.querySelector(".wall-pick").setAttribute("aria-pressed", String(on));
    }
    find("wall-picked").hidden = this.chosen.size === 0;
    find("wall-picked-count").textContent = `${this.chosen.size} picked`;
  }

  async #tag(photos, tag, on) {
    try {
      const answer = await send("PUT", "/api/photos/wall/tags", { photos, tag, on });
      this.groups = answer.groups;
      this.photos = this.photos.map((p) => ({ ...p, tags: answer.tags[p.id] ?? p.tags }));
      document.querySelector("[data-undo-button]").disabled = false;
      this.choices();
      this.draw();
      await this.ask();
    } catch (error) {
      sayFault(error);
    }
  }

  async #takeOff() {
    try {
      const { said } = await send("POST", "/api/photos/wall/take-off", { photos: [...this.chosen] });
      sayAfterReload(said);
      reload();
    } catch (error) {
      sayFault(error);
    }
  }

  /** Asks what the photos are until all are known. */
  async ask() {
    for (let whole = false; !whole;) {
      const answer = await send("GET", "/api/wall");
      this.photos = known(this.photos, answer.lines);
      whole = answer.whole;
      find("holds-going").textContent = whole
        ? ""
        : `Measured ${Object.keys(answer.lines).length} of ${this.photos.length}`;
      this.#holds(answer);
      this.draw();
      if (!whole) await new Promise((wait) => setTimeout(wait, ASK_MS));
    }
  }

  #holds({ subjects, lights, counts, missed }) {
    const head = element(
      "tr",
      {},
      element("td"),
      ...subjects.map((s) => element("th", { scope: "col", textContent: s.replace(" skin", "") })),
    );
    const rows = lights.map((light, r) => {
      const cells = counts[r].map((n) =>
        element("td", { className: n === 0 ? "is-gap" : "", textContent: n === 0 ? "none" : n }),
      );
      return element("tr", {}, element("th", { scope: "row", textContent: light }), ...cells);
    });
    find("holds").replaceChildren(head, ...rows);
    find("holds-missed").textContent = missed.length > 0 ? `Most missed: ${missed.join("; ")}.` : "Nothing is missed.";
  }
}

if (find("wall-groups")) new TestWall().ask().catch(sayFault);

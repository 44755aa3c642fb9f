// A sheet of cells of which only those in sight are in the page. Photos down, effects across; arrow
// keys move, Enter opens.
import { cellSize, FOOT, GAP, inSight, keyOf, layout, lefts } from "./sheet-state.js";
import { matches, tone, valueWords, verdictLine } from "../../photo/readings/verdicts.js";

const TOP = 62;
const SIDE = 172;
const MARGIN = 240; // pixels beyond what is in sight that are in the page already

const div = (className) => Object.assign(document.createElement("div"), { className });

export class Grid {
  /**
   * @param box that scrolls
   * @param measures by id
   * @param on { open(effect, photo), column(effect), photo(photo) }
   */
  constructor(box, measures, on) {
    Object.assign(this, { box, measures, on, cells: new Map(), heads: new Map(), sides: new Map(), lines: new Map(), active: [0, 0], facts: {}, opened: "" });
    const [corner, top, side, body] = ["grid-corner", "grid-top", "grid-side", "grid-body"].map(div);
    Object.assign(this, { top, side, body });
    body.setAttribute("role", "grid");
    body.setAttribute("aria-label", "Proofs");
    this.all = div("grid-all");
    this.all.append(corner, top, side, body);
    box.replaceChildren(this.all);
    box.addEventListener("scroll", () => this.#soon(), { passive: true });
    new ResizeObserver(() => this.sheet && this.show(this.sheet)).observe(box);
    body.addEventListener("keydown", (event) => this.#key(event));
  }

  #soon() {
    this.waiting ??= requestAnimationFrame(() => {
      this.waiting = null;
      this.#draw();
    });
  }

  /** Lays a sheet out; what is in the page already stays where it can. */
  show(sheet) {
    this.sheet = sheet;
    this.laid = layout(sheet);
    this.size = cellSize(sheet.look.size, this.box.clientWidth - SIDE - 16);
    const { at, whole } = lefts(this.laid.columns, this.size.width);
    this.x = at;
    this.y = this.laid.rows.map((_, i) => i * (this.size.height + GAP));
    this.all.style.gridTemplate = `${TOP}px ${Math.max(1, this.laid.rows.length * (this.size.height + GAP))}px / ${SIDE}px ${Math.max(1, whole)}px`;
    this.body.setAttribute("aria-rowcount", this.laid.rows.length);
    this.body.setAttribute("aria-colcount", this.laid.columns.length);
    this.active = [this.#within(this.active[0], this.laid.rows), this.#within(this.active[1], this.laid.columns)];
    for (const map of [this.cells, this.heads, this.sides]) for (const made of map.values()) made.stale = true;
    this.#draw();
  }

  #within(i, list) {
    return Math.max(0, Math.min(list.length - 1, i));
  }

  #draw() {
    if (!this.laid) return;
    const { scrollLeft, scrollTop, clientWidth, clientHeight } = this.box;
    const [c0, c1] = inSight(this.x, this.size.width, scrollLeft - MARGIN, scrollLeft + clientWidth + MARGIN);
    const [r0, r1] = inSight(this.y, this.size.height, scrollTop - MARGIN, scrollTop + clientHeight + MARGIN);
    const rows = new Set();
    for (let r = r0; r <= r1; r += 1) rows.add(r);
    const columns = new Set();
    for (let c = c0; c <= c1; c += 1) columns.add(c);
    if (this.laid.rows.length > 0 && this.laid.columns.length > 0) {
      rows.add(this.active[0]); // the one that holds the focus stays
      columns.add(this.active[1]);
    }
    this.#keep(this.heads, new Set([...columns].map((c) => this.laid.columns[c].id)));
    this.#keep(this.sides, new Set([...rows].map((r) => this.laid.rows[r].id)));
    const wanted = new Set();
    for (const c of columns) this.#head(c);
    for (const r of rows) {
      this.#side(r);
      for (const c of columns) {
        wanted.add(keyOf(this.laid.columns[c].id, this.laid.rows[r].id));
        this.#cell(r, c);
      }
    }
    this.#keep(this.cells, wanted);
    const photos = new Set([...rows].map((r) => this.laid.rows[r].id));
    this.#keep(this.lines, photos);
  }

  #keep(map, wanted) {
    for (const [key, made] of map) {
      if (wanted.has(key)) continue;
      (made.element ?? made).remove();
      map.delete(key);
    }
  }

  #head(c) {
    const column = this.laid.columns[c];
    let made = this.heads.get(column.id);
    if (!made) {
      const button = Object.assign(document.createElement("button"), { type: "button", className: "grid-head" });
      button.addEventListener("click", () => this.on.column(column.id));
      made = { element: button, stale: true };
      this.heads.set(column.id, made);
      this.top.append(button);
    }
    if (!made.stale) return;
    made.stale = false;
    const section = document.createElement("span");
    const where = column.first || this.sheet.look.order === "worst" ? this.sheet.sections.get(column.section) : "";
    section.textContent = column.older ? "older edition" : where;
    made.element.replaceChildren(section, column.name);
    made.element.title = `${column.name}: how much of it is too much, its dials`;
    Object.assign(made.element.style, { left: `${this.x[c]}px`, width: `${this.size.width}px` });
    made.element.classList.toggle("is-first", column.first);
  }

  #side(r) {
    const photo = this.laid.rows[r];
    let made = this.sides.get(photo.id);
    if (!made) {
      const link = Object.assign(document.createElement("a"), { className: "grid-photo", href: `/photos/${photo.id}` });
      const small = Object.assign(new Image(), { alt: "", loading: "lazy", src: `/photos/${photo.id}/small` });
      const words = document.createElement("span");
      const facts = Object.assign(document.createElement("small"), {});
      words.append(photo.name, facts);
      link.append(small, words);
      made = { element: link, facts, stale: true };
      this.sides.set(photo.id, made);
      this.side.append(link);
    }
    if (!made.stale) return;
    made.stale = false;
    made.facts.textContent = [this.facts[photo.id]?.[0], photo.tags.join(" · ")].filter(Boolean).join(" · ");
    made.element.title = `${photo.name}: ${made.facts.textContent}`;
    Object.assign(made.element.style, { top: `${this.y[r]}px`, height: `${this.size.height}px` });
  }

  #line(r) {
    const photo = this.laid.rows[r];
    let line = this.lines.get(photo.id);
    if (!line) {
      line = div("grid-row");
      line.setAttribute("role", "row");
      this.lines.set(photo.id, line);
      this.body.append(line);
    }
    line.setAttribute("aria-rowindex", r + 1);
    return line;
  }

  #cell(r, c) {
    const column = this.laid.columns[c];
    const photo = this.laid.rows[r];
    const key = keyOf(column.id, photo.id);
    let made = this.cells.get(key);
    if (!made) {
      const element = div("grid-cell");
      element.setAttribute("role", "gridcell");
      element.dataset.cell = key;
      element.addEventListener("click", () => {
        this.go(column.id, photo.id);
        this.on.open(column.id, photo.id);
      });
      made = { element, stale: true };
      this.cells.set(key, made);
    }
    const line = this.#line(r);
    if (made.element.parentNode !== line) line.append(made.element);
    const isActive = r === this.active[0] && c === this.active[1];
    made.element.tabIndex = isActive ? 0 : -1;
    if (!made.stale) return;
    made.stale = false;
    Object.assign(made.element.style, { left: `${this.x[c]}px`, top: `${this.y[r]}px`, width: `${this.size.width}px`, height: `${this.size.height}px` });
    made.element.setAttribute("aria-colindex", c + 1);
    this.#fill(made, column, photo, this.sheet.cells.get(key), key);
  }

  #fill(made, column, photo, cell, key) {
    const { element } = made;
    const { look, values } = this.sheet;
    element.classList.toggle("is-out", !matches(look.wanted, cell));
    element.classList.toggle("is-open", key === this.opened);
    element.classList.toggle("is-aside", cell?.state === "not judged");
    const line = cell && verdictLine(cell, this.measures);
    const said = cell?.state === "not judged" ? `not judged, ${line.textContent}` : (line?.textContent ?? (cell ? "within" : "not rendered yet"));
    element.setAttribute("aria-label", `${column.name} on ${photo.name}: ${said}`);
    if (!cell) return element.replaceChildren();
    if (values) return this.#number(element, values.get(key), line);
    const address = `/proofs/pictures/${column.id}/${photo.id}${cell.made ? `?v=${cell.made}` : ""}`;
    if (made.address !== address || !element.querySelector("img")) {
      made.address = address;
      element.replaceChildren(Object.assign(new Image(), { alt: "", src: address, draggable: false }));
    } else element.querySelector(".verdict")?.remove();
    element.querySelector("img").style.maxHeight = `${this.size.height - FOOT}px`;
    if (line) element.append(line);
  }

  #number(element, found, line) {
    const { unit } = this.measures.get(this.sheet.look.measure);
    const number = document.createElement("b");
    number.className = "grid-number";
    number.textContent = found?.value === undefined ? "–" : valueWords(found.value, unit);
    number.style.setProperty("--tone", tone(found?.share));
    element.replaceChildren(number);
    const own = found?.state && found.state !== "within" ? Object.assign(document.createElement("span"), { className: `verdict is-${found.state.split(",")[0]}`, textContent: found.state }) : line?.classList.contains("is-not-judged") && line;
    if (own) element.append(own);
  }

  /** Draws some cells anew, as when they were made. */
  refresh(sheet, keys) {
    this.sheet = sheet;
    for (const key of keys) {
      const made = this.cells.get(key);
      if (made) made.stale = true;
    }
    this.#draw();
  }

  /** What photos are, in a line each, by id. */
  tell(facts) {
    this.facts = facts;
    for (const made of this.sides.values()) made.stale = true;
    this.#draw();
  }

  /** Marks the cell whose card is open. */
  mark(key) {
    this.opened = key;
    for (const [own, { element }] of this.cells) element.classList.toggle("is-open", own === key);
  }

  /** Makes a cell the one that keys start from, and brings it into sight. */
  go(effect, photo, focus = true) {
    const c = this.laid.columns.findIndex((e) => e.id === effect);
    const r = this.laid.rows.findIndex((p) => p.id === photo);
    if (c < 0 || r < 0) return;
    this.#move(r, c, focus);
  }

  #move(r, c, focus = true) {
    this.active = [this.#within(r, this.laid.rows), this.#within(c, this.laid.columns)];
    const [row, column] = this.active;
    const { box, size } = this;
    const left = this.x[column];
    const top = this.y[row];
    const [roomX, roomY] = [box.clientWidth - SIDE - 10, box.clientHeight - TOP - 10];
    if (left < box.scrollLeft) box.scrollLeft = left;
    else if (left + size.width > box.scrollLeft + roomX) box.scrollLeft = left + size.width - roomX;
    if (top < box.scrollTop) box.scrollTop = top;
    else if (top + size.height > box.scrollTop + roomY) box.scrollTop = top + size.height - roomY;
    this.#draw();
    if (focus) this.focus();
  }

  /** Gives the keys to the active cell. */
  focus() {
    const [r, c] = this.active;
    const key = this.laid.rows[r] && this.laid.columns[c] && keyOf(this.laid.columns[c].id, this.laid.rows[r].id);
    this.cells.get(key)?.element.focus({ preventScroll: true });
  }

  #key(event) {
    if (event.ctrlKey || event.metaKey || event.altKey || this.laid.rows.length === 0) return;
    const [r, c] = this.active;
    const page = Math.max(1, Math.floor(this.box.clientHeight / (this.size.height + GAP)) - 1);
    const steps = {
      ArrowLeft: [r, c - 1],
      ArrowRight: [r, c + 1],
      ArrowUp: [r - 1, c],
      ArrowDown: [r + 1, c],
      Home: [r, 0],
      End: [r, this.laid.columns.length - 1],
      PageUp: [r - page, c],
      PageDown: [r + page, c],
    };
    if (event.key in steps) this.#move(...steps[event.key]);
    else if (event.key === "Enter" || event.key === " ") this.on.open(this.laid.columns[c].id, this.laid.rows[r].id);
    else return;
    event.preventDefault();
  }
}

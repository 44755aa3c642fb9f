// A sheet of cells of which only those in sight are in the page. Photos down, effects across; arrow
// keys move, Enter opens.
import { inNextFrame } from "../../base/web/frames.js";
import { cellOf, fillCell } from "./grid-cell.js";
import { fillHead, fillSide, headOf, lineOf, sideOf } from "./grid-edges.js";
import { bringIntoSight, forget, rangeOf } from "./grid-sight.js";
import { stepsFrom } from "./grid-steps.js";
import { cellSize, GAP, keyOf, layout, lefts } from "./sheet-state.js";

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
    Object.assign(this, {
      box,
      measures,
      on,
      cells: new Map(),
      heads: new Map(),
      sides: new Map(),
      lines: new Map(),
      active: [0, 0],
      facts: {},
      opened: "",
    });
    const [corner, top, side, body] = ["grid-corner", "grid-top", "grid-side", "grid-body"].map(div);
    Object.assign(this, { top, side, body });
    body.setAttribute("role", "grid");
    body.setAttribute("aria-label", "Proofs");
    this.all = div("grid-all");
    this.all.append(corner, top, side, body);
    box.replaceChildren(this.all);
    box.addEventListener(
      "scroll",
      inNextFrame(() => this.#draw()),
      { passive: true },
    );
    new ResizeObserver(() => this.sheet && this.show(this.sheet)).observe(box);
    body.addEventListener("keydown", (event) => this.#key(event));
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
    const { rows, columns } = rangeOf(this, MARGIN);
    forget(this.heads, new Set([...columns].map((c) => this.laid.columns[c].id)));
    forget(this.sides, new Set([...rows].map((r) => this.laid.rows[r].id)));
    const wanted = new Set();
    for (const c of columns) this.#head(c);
    for (const r of rows) {
      this.#side(r);
      for (const c of columns) {
        wanted.add(keyOf(this.laid.columns[c].id, this.laid.rows[r].id));
        this.#cell(r, c);
      }
    }
    forget(this.cells, wanted);
    forget(this.lines, new Set([...rows].map((r) => this.laid.rows[r].id)));
  }

  #head(c) {
    const column = this.laid.columns[c];
    let made = this.heads.get(column.id);
    if (!made) {
      made = headOf(() => this.on.column(column.id));
      this.heads.set(column.id, made);
      this.top.append(made.element);
    }
    if (!made.stale) return;
    made.stale = false;
    fillHead(made, column, this.sheet);
    Object.assign(made.element.style, { left: `${this.x[c]}px`, width: `${this.size.width}px` });
  }

  #side(r) {
    const photo = this.laid.rows[r];
    let made = this.sides.get(photo.id);
    if (!made) {
      made = sideOf(photo);
      this.sides.set(photo.id, made);
      this.side.append(made.element);
    }
    if (!made.stale) return;
    made.stale = false;
    fillSide(made, photo, this.facts[photo.id]?.[0]);
    Object.assign(made.element.style, { top: `${this.y[r]}px`, height: `${this.size.height}px` });
  }

  #line(r) {
    const photo = this.laid.rows[r];
    let line = this.lines.get(photo.id);
    if (!line) {
      line = lineOf();
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
      made = cellOf(key, () => {
        this.go(column.id, photo.id);
        this.on.open(column.id, photo.id);
      });
      this.cells.set(key, made);
    }
    const line = this.#line(r);
    if (made.element.parentNode !== line) line.append(made.element);
    const isActive = r === this.active[0] && c === this.active[1];
    made.element.tabIndex = isActive ? 0 : -1;
    if (!made.stale) return;
    made.stale = false;
    Object.assign(made.element.style, {
      left: `${this.x[c]}px`,
      top: `${this.y[r]}px`,
      width: `${this.size.width}px`,
      height: `${this.size.height}px`,
    });
    made.element.setAttribute("aria-colindex", c + 1);
    const what = { cell: this.sheet.cells.get(key), key, column, photo, opened: this.opened };
    fillCell(made, what, { sheet: this.sheet, measures: this.measures, height: this.size.height });
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
    bringIntoSight(box, { left, top, ...size }, { width: SIDE + 10, height: TOP + 10 });
    this.#draw();
    if (focus) this.focus();
  }

  /** Gives the keys to the active cell. */
  focus() {
    const [r, c] = this.active;
    const key = this.laid.rows[r] && this.laid.columns[c] && keyOf(this.laid.columns[c].id, this.laid.rows[r].id);
    this.cells.get(key)?.element.focus({ preventScroll: true });
  }

  get #rowsInSight() {
    return Math.max(1, Math.floor(this.box.clientHeight / (this.size.height + GAP)) - 1);
  }

  #key(event) {
    if (event.ctrlKey || event.metaKey || event.altKey || this.laid.rows.length === 0) return;
    const [r, c] = this.active;
    const steps = stepsFrom(r, c, this.laid.columns.length, this.#rowsInSight);
    if (event.key in steps) this.#move(...steps[event.key]);
    else if (event.key === "Enter" || event.key === " ") this.on.open(this.laid.columns[c].id, this.laid.rows[r].id);
    else return;
    event.preventDefault();
  }
}

// What a proof sheet shows, as data: cells with what is said of them, which effects and photos are
// looked at, and in which order. Every change gives a new state; nothing here touches the page.
import { matches } from "../../photo/readings/verdicts.js";

export const keyOf = (effect, photo) => `${effect}:${photo}`;
const WITHIN = { state: "within", words: "" };

/** @param data what the page came with: sections, effects, photos */
export function newSheet({ sections, effects, photos }) {
  return {
    sections: new Map(sections),
    effects: effects.map(([id, name, section, older]) => ({ id, name, section, older })),
    photos: photos.map(([id, name, width, height, tags, regions]) => ({ id, name, width, height, tags, regions })),
    cells: new Map(),
    values: null, // of one measure, by cell
    look: { wanted: "all", photos: "", section: "", order: "filed", size: "medium", measure: "" },
    done: 0,
    total: effects.length * photos.length,
    since: -1,
  };
}

const cellOf = ([, , state, measure, value, share, words]) => ({ state, measure, value, share, words });

/** The sheet after an answer: at first all that is there, then what is new. */
export function taken(sheet, answer) {
  const cells = answer.rows ? there(sheet, new Map(answer.rows)) : new Map(sheet.cells);
  const { total } = answer.rows ? answer : sheet;
  let { done } = answer.rows ? answer : sheet;
  for (const mark of answer.marks ?? answer.made ?? []) {
    const key = keyOf(mark[0], mark[1]);
    const before = cells.get(key);
    if (!before) done += 1;
    cells.set(key, {
      ...cellOf(mark),
      made: answer.made ? (sheet.cells.get(key)?.made ?? 0) + 1 : (sheet.cells.get(key)?.made ?? 0),
    });
  }
  return { ...sheet, cells, done, total, since: answer.since };
}

function there(sheet, rows) {
  const cells = new Map();
  for (const { id } of sheet.photos) {
    [...(rows.get(id) ?? "")].forEach((letter, i) => {
      const effect = sheet.effects[i];
      if (letter !== "1" || !effect) return;
      const key = keyOf(effect.id, id);
      cells.set(key, { ...WITHIN, made: sheet.cells.get(key)?.made ?? 0 });
    });
  }
  return cells;
}

export const looking = (sheet, wish) => ({ ...sheet, look: { ...sheet.look, ...wish } });

/** The sheet with what one measure says: [effect, photo, value, verdict, share] each. */
export function measured(sheet, measure, rows) {
  const values = new Map(
    rows.map(([effect, photo, value, state, share]) => [keyOf(effect, photo), { value, state, share }]),
  );
  return { ...looking(sheet, { measure }), values: measure ? values : null };
}

/** What photos can be chosen by: tags and regions that any has. */
export function photoChoices({ photos }) {
  const all = (name) => [...new Set(photos.flatMap((p) => p[name]))].sort((a, b) => a.localeCompare(b));
  return { tags: all("tags"), regions: all("regions") };
}

function chosen(photo, wish) {
  const [kind, name] = [wish.slice(0, wish.indexOf(":")), wish.slice(wish.indexOf(":") + 1)];
  return wish === "" || (kind === "tag" ? photo.tags : photo.regions).includes(name);
}

const weight = (cell) => (cell && (cell.state === "over" || cell.state === "near") ? cell.share : 0);

/**
 * What is laid out: columns in groups of a section, and rows.
 * @returns { columns: [{ id, name, section, first }], rows: [photo] }
 */
export function layout(sheet) {
  const { look, cells } = sheet;
  let columns = sheet.effects.filter((e) => look.section === "" || String(e.section) === look.section);
  let rows = sheet.photos.filter((p) => chosen(p, look.photos));
  if (look.wanted !== "all") {
    const meets = (e, p) => matches(look.wanted, cells.get(keyOf(e.id, p.id)));
    const some = columns.filter((e) => rows.some((p) => meets(e, p)));
    rows = rows.filter((p) => columns.some((e) => meets(e, p)));
    columns = some;
  }
  const judged = (p) => columns.some((e) => cells.get(keyOf(e.id, p.id))?.state !== "not judged");
  rows = [...rows.filter(judged), ...rows.filter((p) => !judged(p))]; // what is not judged at all comes last
  if (look.order === "worst") {
    const worst = (list) => Math.max(0, ...list);
    const ofColumn = new Map(columns.map((e) => [e.id, worst(rows.map((p) => weight(cells.get(keyOf(e.id, p.id)))))]));
    const ofRow = new Map(rows.map((p) => [p.id, worst(columns.map((e) => weight(cells.get(keyOf(e.id, p.id)))))]));
    columns = columns.toSorted((a, b) => ofColumn.get(b.id) - ofColumn.get(a.id));
    rows = rows.toSorted((a, b) => ofRow.get(b.id) - ofRow.get(a.id));
  }
  const grouped = look.order !== "worst";
  return {
    columns: columns.map((c, i) => ({ ...c, first: grouped && (i === 0 || columns[i - 1].section !== c.section) })),
    rows,
  };
}

/** How large cells are: as many as fit at the wished width, made wider until they fill the room. */
export function cellSize(size, room) {
  const wish = { small: 92, medium: 128, large: 196 }[size];
  const n = Math.max(1, Math.floor(room / (wish + GAP)));
  const width = Math.floor(Math.min(wish * 1.35, room / n - GAP));
  return { width, height: Math.round(width * 0.72) + FOOT };
}

export const GAP = 6;
export const FOOT = 18;
export const GROUP_GAP = 16;

/** Left edges of columns, with a gap before each section, and how wide all are. */
export function lefts(columns, width) {
  let x = 0;
  const at = columns.map((c, i) => {
    if (c.first && i > 0) x += GROUP_GAP;
    const here = x;
    x += width + GAP;
    return here;
  });
  return { at, whole: Math.max(0, x - GAP) };
}

/** First and last index of what lies between two edges; starts rise. */
export function inSight(starts, size, from, to) {
  let first = starts.findIndex((s) => s + size >= from);
  if (first < 0) first = starts.length;
  let last = starts.length - 1;
  while (last >= first && starts[last] > to) last -= 1;
  return [first, last];
}

/** Writes what is open into the address. @param cell its key ; empty for what is not worth telling */
export function remembered(view, cell) {
  const parts = new URLSearchParams();
  if (view) parts.set("view", view);
  if (cell) parts.set("cell", cell);
  history.replaceState(null, "", parts.size > 0 ? `#${parts}` : location.pathname);
}

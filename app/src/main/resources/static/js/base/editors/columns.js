// How the settings of a veil are laid out in columns.
import { layout } from "./matrix.js";
import { partOf } from "./parts.js";

const ROWS = 6; // settings and headings that fit above one another

/**
 * @param inParts a part begins a column of its own
 * @returns [{ part, groups: [[name, settings]], isOnly: the only column of its part, where they stand in parts }]
 */
export function columnsOf(settings, inParts) {
  const columns = [];
  let rows = 0;
  for (const name of new Set(settings.map((s) => s.group))) {
    const own = settings.filter((s) => s.group === name);
    const height = (own[0].row ? layout(own).rows.length + 1 : own.length) + 1;
    const part = partOf(name);
    if (columns.length === 0 || rows + height > ROWS || (inParts && columns.at(-1).part !== part)) {
      columns.push({ part, groups: [] });
      rows = 0;
    }
    rows += height;
    columns.at(-1).groups.push([name, own]);
  }
  for (const column of columns) column.isOnly = inParts && columns.filter((c) => c.part === column.part).length === 1;
  return columns;
}

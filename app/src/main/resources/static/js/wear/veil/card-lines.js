// The card of dials as lines, one below the other: a heading, or a dial. Every function gives new lines.

/** The lines of a card; each has a name of its own. */
export function linesOf(dials) {
  let heading = "";
  return dials.flatMap((dial) => {
    const line = { id: `${dial.veil} ${dial.key}`, dial };
    const own = dial.heading ?? "";
    if (own === heading) return [line];
    heading = own;
    return [{ id: `above ${line.id}`, heading }, line];
  });
}

/** The dials of a card, each under the heading above it; a heading with nothing below it goes. */
export function dialsOf(lines) {
  let heading = "";
  return lines.flatMap((line) => {
    if (line.dial) return [{ ...line.dial, heading }];
    heading = line.heading.trim();
    return [];
  });
}

/** The lines with one at another place. */
export function movedTo(lines, id, index) {
  const line = lines.find((l) => l.id === id);
  const rest = lines.filter((l) => l.id !== id);
  rest.splice(Math.max(0, Math.min(rest.length, index)), 0, line);
  return rest;
}

/** The lines with a heading above one of them. */
export const headed = (lines, id, heading) =>
  lines.flatMap((line) => (line.id === id ? [{ id: `new ${id}`, heading }, line] : [line]));

/** The lines with another heading in the place of one. */
export const renamed = (lines, id, heading) => lines.map((line) => (line.id === id ? { ...line, heading } : line));

/** The lines without one. */
export const without = (lines, id) => lines.filter((line) => line.id !== id);

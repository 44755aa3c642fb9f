// The test wall as data: which photos are looked at, in which order and groups, and which are picked.

export const photoOf = ([id, name, width, height, tags]) => ({
  id,
  name,
  width,
  height,
  tags,
  line: "",
  subject: "",
  light: 0,
  depth: -100,
});

/** The photos with what was measured of them: { id: [line, subject, lightness, depth] }. */
export const known = (photos, lines) =>
  photos.map((p) => {
    const [line, subject, light, depth] = lines[p.id] ?? [p.line, p.subject, p.light, p.depth];
    return { ...p, line, subject, light, depth };
  });

const text = (p) => [p.name, ...p.tags, p.line].join(" ").toLocaleLowerCase("en-GB");

const ORDERS = {
  added: () => 0,
  name: (a, b) => a.name.localeCompare(b.name, "en-GB"),
  light: (a, b) => a.light - b.light,
  depth: (a, b) => b.depth - a.depth,
};

/** Photos that hold every word that is looked for, and the tag. */
export function seen(photos, { words = "", tag = "", order = "added" }) {
  const wanted = words.toLocaleLowerCase("en-GB").split(/\s+/).filter(Boolean);
  return photos
    .filter((p) => (tag === "" || p.tags.includes(tag)) && wanted.every((w) => text(p).includes(w)))
    .toSorted(ORDERS[order]);
}

/**
 * Photos in groups: by what is measured (“subject”), or by the tags of a group of tags. A photo with
 * two of them stands in both; those with none come last.
 * @returns [[name, photos]]
 */
export function grouped(photos, by, groups) {
  if (by === "") return [["", photos]];
  const tags = by === "subject" ? null : (groups.find((g) => g.label === by)?.tags ?? []);
  const of = (p) => (tags ? p.tags.filter((t) => tags.includes(t)) : p.subject ? [p.subject] : []);
  const out = new Map((tags ?? []).map((t) => [t, []]));
  const rest = [];
  for (const p of photos) {
    const own = of(p);
    if (own.length === 0) rest.push(p);
    for (const name of own) out.set(name, [...(out.get(name) ?? []), p]);
  }
  return [...out, ["none of these", rest]].filter(([, list]) => list.length > 0);
}

// What was typed into the search, and what came of it, as a rack: a kit is a section.

/** What is typed with a phrase more, or without it. */
export function toggled(typed, phrase) {
  const plain = typed.trim().replace(/\s+/g, " ");
  const at = ` ${plain.toLocaleLowerCase("en-GB")} `.indexOf(` ${phrase.toLocaleLowerCase("en-GB")} `);
  if (at < 0) return plain === "" ? phrase : `${plain} ${phrase}`;
  return `${plain.slice(0, at)}${plain.slice(at + phrase.length)}`.trim().replace(/\s+/g, " ");
}

/** Whether a phrase is among what is typed. */
export const holds = (typed, phrase) =>
  ` ${typed.toLocaleLowerCase("en-GB").replace(/[\s,;]+/g, " ")} `.includes(` ${phrase.toLocaleLowerCase("en-GB")} `);

/** The kits that were found as sections of one rack. */
export function asRack(found) {
  const effects = found.kits.flatMap((k) => k.effects.map((e) => ({ ...e, photo: k.photo })));
  return {
    kit: { name: "" },
    sections: found.kits.map((k, i) => ({
      id: k.id,
      number: i + 1,
      name: k.name,
      folded: false,
      effects: k.effects.map((e) => e.id),
    })),
    effects,
  };
}

/** How much was found, in words. */
export function countWords({ asked, count, swatches, collections }) {
  if (!asked) return "Type, or choose at the left.";
  const parts = [
    [count, "effect"],
    [swatches.length, "swatch", "swatches"],
    [collections.length, "collection"],
  ]
    .filter(([n]) => n > 0)
    .map(([n, one, more = `${one}s`]) => `${n} ${n === 1 ? one : more}`);
  return parts.length === 0 ? "Nothing is like that." : parts.join(", ");
}

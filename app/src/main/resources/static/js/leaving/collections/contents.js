// What goes into a collection, as data: kits in order, without the sections and effects that stay out.

const without = (list, ids) => list.filter((id) => !ids.includes(id));
const effectsOf = (kit) => kit.sections.flatMap((s) => s.effects.map((e) => e.id));

/** Whether an effect of a section goes in. */
export const goesIn = (doc, kit, section, effect) =>
  doc.kits.includes(kit.id) && !doc.withoutSections.includes(section.id) && !doc.withoutEffects.includes(effect.id);

/** How many effects of a section go in, and of how many. */
export function countOf(doc, kit, section) {
  return { n: section.effects.filter((e) => goesIn(doc, kit, section, e)).length, of: section.effects.length };
}

/** Whether a section's box is ticked, and whether only in part. */
export function tickOf(doc, kit, section) {
  const { n, of } = countOf(doc, kit, section);
  const ticked = doc.kits.includes(kit.id) && !doc.withoutSections.includes(section.id) && (n > 0 || of === 0);
  return { ticked, partly: ticked && n < of };
}

/** Kits in the order of the collection, then those that are left out. */
export function inOrder(doc, kits) {
  const chosen = doc.kits.map((id) => kits.find((k) => k.id === id)).filter(Boolean);
  return [...chosen, ...kits.filter((k) => !doc.kits.includes(k.id))];
}

/** A kit goes in whole, or stays out with all that was said of its parts. */
export function tickKit(doc, kit, on) {
  return {
    ...doc,
    kits: on ? [...doc.kits, kit.id] : without(doc.kits, [kit.id]),
    withoutSections: without(
      doc.withoutSections,
      kit.sections.map((s) => s.id),
    ),
    withoutEffects: without(doc.withoutEffects, effectsOf(kit)),
  };
}

/** A section of a kit goes in whole, or stays out; ticking one of a kit that is out brings it alone. */
export function tickSection(doc, kit, section, on) {
  const ids = section.effects.map((e) => e.id);
  if (on && !doc.kits.includes(kit.id)) {
    const others = kit.sections.filter((s) => s !== section).map((s) => s.id);
    return { ...tickKit(doc, kit, true), withoutSections: [...doc.withoutSections, ...others] };
  }
  const rest = without(doc.withoutSections, [section.id]);
  return {
    ...doc,
    withoutSections: on ? rest : [...rest, section.id],
    withoutEffects: without(doc.withoutEffects, ids),
  };
}

/** An effect goes in or stays out; ticking one of a section that is out brings it alone. */
export function tickEffect(doc, kit, section, effect, on) {
  if (on && !tickOf(doc, kit, section).ticked) {
    const others = section.effects.filter((e) => e !== effect).map((e) => e.id);
    const brought = tickSection(doc, kit, section, true);
    return { ...brought, withoutEffects: [...brought.withoutEffects, ...others] };
  }
  const rest = without(doc.withoutEffects, [effect.id]);
  return { ...doc, withoutEffects: on ? rest : [...rest, effect.id] };
}

/** A kit one place up (−1) or down (1). */
export function moveKit(doc, id, by) {
  const at = doc.kits.indexOf(id);
  const to = at + by;
  if (at < 0 || to < 0 || to >= doc.kits.length) return doc;
  return { ...doc, kits: doc.kits.toSpliced(at, 1).toSpliced(to, 0, id) };
}

/** What a tree says in a word of a kit. */
export function kitWords(doc, kit) {
  if (!doc.kits.includes(kit.id)) return "left out";
  const counts = kit.sections.map((s) => countOf(doc, kit, s));
  const n = counts.reduce((sum, c) => sum + c.n, 0);
  const of = counts.reduce((sum, c) => sum + c.of, 0);
  return n === of ? String(n) : `${n} of ${of}`;
}

// A rack as data: where effects hang, where picked ones can be put, what the side lists say.

/** Effects in the order in which they hang; those of folded sections are not in sight. */
export const inSight = (rack) => rack.sections.flatMap((s) => (s.folded ? [] : s.effects));

/** All effects in the order in which they hang. */
export const hanging = (rack) => rack.sections.flatMap((s) => s.effects);

export const effectOf = (rack, id) => rack.effects.find((e) => e.id === id);

export const sectionOf = (rack, id) => rack.sections.find((s) => s.effects.includes(id));

/** The number of an effect: its section's, then its place in it. */
export function numberOf(rack, id) {
  const section = sectionOf(rack, id);
  return section ? `${section.number}.${section.effects.indexOf(id) + 1}` : "";
}

/** What of some ids still hangs here. */
export const left = (rack, ids) => new Set(hanging(rack).filter((id) => ids.has(id)));

/**
 * The rack with effects put before another of a section, or at its end, as the application will have
 * them: in the order in which they hang.
 */
export function put(rack, ids, section, before = null) {
  const moved = hanging(rack).filter((id) => ids.has(id));
  const rest = (list) => list.filter((id) => !ids.has(id));
  return {
    ...rack,
    sections: rack.sections.map((s) => {
      const own = rest(s.effects);
      if (s.id !== section) return { ...s, effects: own };
      const at = before === null || !own.includes(before) ? own.length : own.indexOf(before);
      return { ...s, effects: own.toSpliced(at, 0, ...moved) };
    }),
  };
}

/** Places where effects can be put, in order: { section, before } of every gap between the others. */
export function slots(rack, ids) {
  return rack.sections.flatMap((s) => {
    const own = s.effects.filter((id) => !ids.has(id));
    return [...own, null].map((before, place) => ({ section: s.id, before, place: place + 1, of: own.length + 1 }));
  });
}

/** Which of the slots some effects hang in now: that of the first of them. */
export function slotOf(rack, ids) {
  const first = hanging(rack).find((id) => ids.has(id));
  const section = sectionOf(rack, first);
  const behind = section.effects.slice(section.effects.indexOf(first)).find((id) => !ids.has(id)) ?? null;
  return slots(rack, ids).findIndex((s) => s.section === section.id && s.before === behind);
}

/** The slot that a key leads to: the next or last one, or the same place of another section. */
export function slotBy(rack, ids, at, key) {
  const all = slots(rack, ids);
  if (key === "ArrowLeft") return Math.max(0, at - 1);
  if (key === "ArrowRight") return Math.min(all.length - 1, at + 1);
  const order = rack.sections.map((s) => s.id);
  const next = order[order.indexOf(all[at].section) + (key === "ArrowDown" ? 1 : -1)];
  if (next === undefined) return at;
  const there = all.filter((s) => s.section === next);
  return all.indexOf(there[Math.min(all[at].place, there.length) - 1]);
}

/** How many of a rack's effects are ready. */
export const tally = (rack) =>
  `${rack.kit.name} · ${rack.effects.filter((e) => e.state === "ready").length} of ${rack.effects.length} ready`;

/** Sections with one put before another, or last. */
export function sectionPut(rack, id, before) {
  const moved = rack.sections.find((s) => s.id === id);
  const rest = rack.sections.filter((s) => s.id !== id);
  const at = before === null ? rest.length : rest.findIndex((s) => s.id === before);
  return { ...rack, sections: rest.toSpliced(at, 0, moved).map((s, i) => ({ ...s, number: i + 1 })) };
}

/** What is picked in words: of several their number. */
export const pickedWords = (rack, ids) => (ids.size === 1 ? effectOf(rack, [...ids][0]).name : `${ids.size} effects`);

/** The boxes that a drawn box touches. @param boxes [{ id, left, top, right, bottom }] */
export const touched = (boxes, { left, top, right, bottom }) =>
  boxes.filter((b) => b.left < right && b.right > left && b.top < bottom && b.bottom > top).map((b) => b.id);

/**
 * Where something let go at a point is put: beside the nearest piece of that rail.
 * @param boxes of the pieces of the rail that stay, in order: { id, left, top, right, bottom }
 * @returns { before, at: box, after: boolean } ; before is null for the end
 */
export function gapAt(boxes, x, y) {
  if (boxes.length === 0) return { before: null, at: null, after: false };
  const rowOf = (b) => (y < b.top ? b.top - y : y > b.bottom ? y - b.bottom : 0);
  const nearest = boxes.reduce(
    (best, b) => {
      const far = rowOf(b) * 1000 + Math.abs((b.left + b.right) / 2 - x);
      return far < best.far ? { b, far } : best;
    },
    { far: Infinity },
  ).b;
  const after = x > (nearest.left + nearest.right) / 2;
  const next = boxes[boxes.indexOf(nearest) + 1];
  return { before: after ? (next?.id ?? null) : nearest.id, at: nearest, after };
}

/** What hangs at a place, or last where nothing hangs there. */
export function nearest(rack, place = 0) {
  const order = hanging(rack);
  return order[Math.min(place, order.length - 1)];
}

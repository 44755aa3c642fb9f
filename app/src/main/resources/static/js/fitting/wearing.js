// Fittings as plain data: every function gives a new fitting and leaves the old one as it was.

const wornOf = (fitting, key) => fitting.worn.find((w) => w.effect === key);

/** The fitting with some fields of a worn effect changed. */
export function changed(fitting, key, fields) {
  return { worn: fitting.worn.map((w) => (w.effect === key ? { ...w, ...fields } : w)) };
}

/** Opacity and state of a veil as this fitting has it. */
export function veilState(fitting, key, veil) {
  return wornOf(fitting, key)?.veils[veil.id] ?? { opacity: veil.opacity, lifted: veil.lifted };
}

/** The fitting with a veil of a worn effect changed. */
export function veilChanged(fitting, key, veil, fields) {
  const veils = { ...wornOf(fitting, key).veils };
  veils[veil.id] = { ...veilState(fitting, key, veil), ...fields };
  return changed(fitting, key, { veils });
}

/** The fitting with one more stroke. */
export function painted(fitting, key, veilId, stroke) {
  const paint = { ...wornOf(fitting, key).paint };
  paint[veilId] = [...(paint[veilId] ?? []), stroke];
  return changed(fitting, key, { paint });
}

/** Whether paint can be put on a veil: on every mask but everywhere, while it is down. */
export const paintable = (fitting, key, veil) =>
  veil.mask.cover !== "everywhere" && !veilState(fitting, key, veil).lifted;

/** The veil that the brush is for at first: the first brush-on veil that is down, or null. */
export function brushedVeil(fitting, key, effect) {
  const waits = (veil) => veil.mask.cover === "brush-on" && paintable(fitting, key, veil);
  return effect?.veils.find(waits) ?? null;
}

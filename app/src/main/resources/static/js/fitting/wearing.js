// Fittings as plain data: every function gives a new fitting and leaves the old one as it was.

/** Key of the paint by which an effect as a whole is brushed on. */
export const WHOLE = "*";

const wornOf = (fitting, key) => fitting.worn.find((w) => w.effect === key);

/** The fitting with some fields of a worn effect changed. */
export function changed(fitting, key, fields) {
  return { worn: fitting.worn.map((w) => (w.effect === key ? { ...w, ...fields } : w)) };
}

/** Opacity, state and dials of a veil as this fitting has it. */
export function veilState(fitting, key, veil) {
  return wornOf(fitting, key)?.veils[veil.id] ?? { opacity: veil.opacity, lifted: veil.lifted, dials: {} };
}

/** The fitting with a veil of a worn effect changed. */
export function veilChanged(fitting, key, veil, fields) {
  const veils = { ...wornOf(fitting, key).veils };
  veils[veil.id] = { ...veilState(fitting, key, veil), ...fields };
  return changed(fitting, key, { veils });
}

/** Where a dial stands. */
export function dialValue(fitting, piece, dial) {
  const veil = piece.effect.veils.find((v) => v.id === dial.veil);
  const turned = veilState(fitting, piece.key, veil).dials[dial.key] ?? veil.settings[dial.key];
  return Math.min(dial.max, Math.max(dial.min, turned));
}

/** The fitting with a dial turned. */
export function dialled(fitting, piece, dial, value) {
  const veil = piece.effect.veils.find((v) => v.id === dial.veil);
  const { dials } = veilState(fitting, piece.key, veil);
  return veilChanged(fitting, piece.key, veil, { dials: { ...dials, [dial.key]: value } });
}

/** Whether paint can be put on a veil: on every mask but everywhere, while it is down. */
export const paintable = (fitting, key, veil) =>
  veil.mask.cover !== "everywhere" && !veilState(fitting, key, veil).lifted;

/** The veil that the brush is for at first: the first brush-on veil that is down, or null. */
export function brushedVeil(fitting, key, effect) {
  const waits = (veil) => veil.mask.cover === "brush-on" && paintable(fitting, key, veil);
  return effect?.veils.find(waits) ?? null;
}

/** What the brush paints where an effect is worn by brush: the effect as a whole. */
export const wholeOf = (piece) => ({ id: WHOLE, name: piece.name, meantFor: "", mask: { cover: "brush-on" } });

/** A worn effect as the rail shows it. */
export function railItem(worn, piece) {
  const veils = piece.effect.veils;
  const how = worn.lifted ? " · lifted" : worn.byBrush ? " · by brush" : "";
  return {
    id: worn.effect,
    name: piece.name,
    what: `section ${piece.section % 100} · ${veils.length} ${veils.length === 1 ? "veil" : "veils"}${how}`,
    kind: veils[0]?.kind ?? "",
    opacity: worn.opacity,
    lifted: worn.lifted,
    woven: worn.byBrush || veils.some((v) => v.mask.cover === "brush-on"),
    layers: veils.length,
  };
}

/** How many effects are on, in words. */
export const counted = ({ length }) => (length === 0 ? "The photo wears nothing yet" : `${length} ${length === 1 ? "effect" : "effects"} on`);

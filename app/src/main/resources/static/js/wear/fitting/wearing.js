// Fittings as plain data: every function gives a new fitting and leaves the old one as it was.
import { numberOf, ruleOf } from "../veil/numbers.js";

/** Key of the paint by which an effect as a whole is brushed on. */
export const WHOLE = "*";

/** A worn effect by its key. */
export const wornOf = (fitting, key) => fitting.worn.find((w) => w.effect === key);

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
  const turned = veilState(fitting, piece.key, veil).dials[dial.key] ?? numberOf(veil, dial.key);
  return Math.min(dial.max, Math.max(dial.min, turned));
}

/** Whether a dial turns something in this fitting: a rule of a mask only while the mask has it. */
export function reaches(fitting, piece, dial) {
  const rule = ruleOf(dial.key);
  if (!rule) return true;
  const { mask } = piece.effect.veils.find((v) => v.id === dial.veil);
  const now = wornOf(fitting, piece.key).masks[dial.veil] ?? mask;
  return now.rules?.[rule.index]?.kind === mask.rules[rule.index].kind;
}

/** The fitting with a dial turned. */
export function dialled(fitting, piece, dial, value) {
  const veil = piece.effect.veils.find((v) => v.id === dial.veil);
  const { dials } = veilState(fitting, piece.key, veil);
  return veilChanged(fitting, piece.key, veil, { dials: { ...dials, [dial.key]: value } });
}

/** The id that paint of a veil goes by: of the veil that it follows, or its own. */
export function paintedAs(fitting, piece, id) {
  const mask = piece.effect.veils.find((v) => v.id === id)?.mask;
  return mask?.cover === "as-veil" && !wornOf(fitting, piece.key).masks[id] ? mask.veil : id;
}

/** Where a veil of a worn effect covers in this fitting; by WHOLE, where the effect does. */
export function maskOf(fitting, piece, id) {
  const { masks, byBrush } = wornOf(fitting, piece.key);
  const own = paintedAs(fitting, piece, id);
  if (masks[own]) return masks[own];
  return own === WHOLE
    ? { cover: byBrush ? "brush-on" : "everywhere" }
    : piece.effect.veils.find((v) => v.id === own).mask;
}

/** The fitting with another mask of a veil, or of an effect as a whole. */
export const masked = (fitting, key, id, mask) =>
  changed(fitting, key, { masks: { ...wornOf(fitting, key).masks, [id]: mask } });

/** Whether paint can be put on a veil: whatever its mask, while it is down. */
export const paintable = (fitting, key, veil) => !veilState(fitting, key, veil).lifted;

/**
 * What the brush paints: { id, of, name, meantFor, mask }, its paint going by the id.
 * @param of id of a veil, or WHOLE; undefined for what waits for the brush, if anything does
 * @returns null where it paints nothing
 */
export function brushTarget(fitting, piece, of) {
  if (!piece || of === null) return null;
  if (of === undefined) return waiting(fitting, piece);
  const veil = piece.effect.veils.find((v) => v.id === of);
  if (!veil && of !== WHOLE) return null;
  if (veil && !paintable(fitting, piece.key, veil)) return waiting(fitting, piece);
  const { name, meantFor } = veil ?? { name: piece.name, meantFor: "" };
  return { id: paintedAs(fitting, piece, of), of, name, meantFor, mask: maskOf(fitting, piece, of) };
}

function waiting(fitting, piece) {
  const hidden = (id) => maskOf(fitting, piece, id).cover === "brush-on";
  if (hidden(WHOLE)) return brushTarget(fitting, piece, WHOLE);
  const veil = piece.effect.veils.find((v) => hidden(v.id) && paintable(fitting, piece.key, v));
  return veil ? brushTarget(fitting, piece, veil.id) : null;
}

/** How a veil covers in this fitting, in words for its line; empty for everywhere. */
export function coverWords(fitting, piece, veil) {
  const followed = paintedAs(fitting, piece, veil.id);
  if (followed !== veil.id) return ` · as ${piece.effect.veils.find((v) => v.id === followed).name}`;
  const { cover } = maskOf(fitting, piece, veil.id);
  return { "brush-on": ` · brush on ${veil.meantFor}`.trimEnd(), "by-rule": " · finds its place", everywhere: "" }[
    cover
  ];
}

/**
 * What a mask can be copied from: every veil and every whole that is worn, but for one.
 * @returns [{ effect, veil, words }]
 */
export function others(fitting, pieces, key, of) {
  const all = pieces.flatMap((piece) => [
    { effect: piece.key, veil: WHOLE, words: `${piece.name}, the whole` },
    ...piece.effect.veils.map((v) => ({ effect: piece.key, veil: v.id, words: `${piece.name}: ${v.name}` })),
  ]);
  return all.filter(({ effect, veil }) => effect !== key || veil !== of);
}

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
    woven:
      maskOf({ worn: [worn] }, piece, WHOLE).cover === "brush-on" ||
      veils.some((v) => maskOf({ worn: [worn] }, piece, v.id).cover === "brush-on"),
    layers: veils.length,
  };
}

/** How many effects are on, in words. */
export const counted = ({ length }) =>
  length === 0 ? "The photo wears nothing yet" : `${length} ${length === 1 ? "effect" : "effects"} on`;

// Effects as plain data: every function gives a new effect and leaves the old one as it was.
import { dialsAfter } from "../../wear/veil/numbers.js";
import { newName } from "../../base/web/names.js";
import { NAME } from "../../base/web/rules.js";

/** A new id of a veil. */
export const newId = () => newName(4);

/** A veil of a kind with every setting at its start. */
export function newVeil(kind, effect, id) {
  const same = effect.veils.filter((v) => v.kind === kind.id).length;
  return {
    id,
    name: same === 0 ? kind.label : `${kind.label} ${same + 1}`,
    kind: kind.id,
    blend: "normal",
    opacity: 1,
    lifted: false,
    mask: { cover: "everywhere" },
    meantFor: "",
    settings: Object.fromEntries(kind.settings.map((s) => [s.key, s.start])),
  };
}

/** The effect with a veil hung behind the one with that id, or last. */
export function hung(effect, veil, behind) {
  const at = effect.veils.findIndex((v) => v.id === behind);
  const veils = [...effect.veils];
  veils.splice(at < 0 ? veils.length : at + 1, 0, veil);
  return { ...effect, veils };
}

/** The effect with some fields of a veil changed; its dials keep to its numbers. */
export const changed = (effect, id, fields) => changedBy(effect, id, () => fields);

/** The effect with a veil changed by a function of it that gives fields. */
export function changedBy(effect, id, of) {
  const before = effect.veils.find((v) => v.id === id);
  if (!before) return effect;
  const after = { ...before, ...of(before) };
  const numbers = after.settings !== before.settings || after.mask !== before.mask;
  return {
    ...effect,
    veils: effect.veils.map((v) => (v.id === id ? after : v)),
    dials: numbers && effect.dials ? dialsAfter(effect.dials, before, after) : effect.dials,
  };
}

/** The effect with one setting of a veil changed. */
export const setTo = (effect, id, key, value) => setAll(effect, id, { [key]: value });

/** The effect with several settings of a veil changed. */
export const setAll = (effect, id, values) =>
  changedBy(effect, id, (v) => ({ settings: { ...v.settings, ...values } }));

/** The effect without some veils and their dials; what followed them keeps their mask. */
export const dropped = (effect, ...ids) => ({
  ...effect,
  veils: effect.veils
    .filter((v) => !ids.includes(v.id))
    .map((v) => (ids.includes(v.mask.veil) ? { ...v, mask: underBrush(effect, v).mask } : v)),
  dials: effect.dials.filter((d) => !ids.includes(d.veil)),
});

/** A veil with the mask, and the id that paint goes by, of the one that it follows, or its own. */
export function underBrush(effect, veil) {
  const other = veil?.mask.cover === "as-veil" && effect.veils.find((v) => v.id === veil.mask.veil);
  return other ? { ...veil, id: other.id, mask: other.mask } : veil;
}

/** Veils that one can follow: none that follows another itself, none at all where it is followed. */
export const toFollow = ({ veils }, id) =>
  veils.some((v) => v.mask.veil === id) ? [] : veils.filter((v) => v.id !== id && v.mask.cover !== "as-veil");

/** The effect with some veils moved one place together, as far as there is room. */
export function movedTogether(effect, ids, step) {
  const veils = [...effect.veils];
  const places = veils.map((v, i) => (ids.includes(v.id) ? i : -1)).filter((i) => i >= 0);
  if (step > 0) places.reverse();
  const edge = step > 0 ? veils.length - 1 : 0;
  if (places[0] === edge) return effect;
  for (const i of places) [veils[i], veils[i + step]] = [veils[i + step], veils[i]];
  return { ...effect, veils };
}

/** The effect with a veil at another place. */
export function placedAt(effect, id, index) {
  const veil = effect.veils.find((v) => v.id === id);
  const veils = effect.veils.filter((v) => v.id !== id);
  veils.splice(index, 0, veil);
  return { ...effect, veils };
}

/** The effect with a copy of a veil hung right behind it. */
export function doubled(effect, id, copyId) {
  const veil = effect.veils.find((v) => v.id === id);
  return hung(effect, { ...veil, id: copyId, name: `${veil.name} again`.slice(0, NAME) }, id);
}

/** What stands under a veil's name on the rail. */
export function described(veil, kind, followed) {
  const parts = [kind.label];
  if (veil.mask.cover === "brush-on") parts.push("brush on");
  if (veil.mask.cover === "by-rule") parts.push("by rule");
  if (followed) parts.push(`as ${followed.name}`);
  if (veil.lifted) parts.push("lifted");
  return parts.join(" · ");
}

/** What the rail shows of an effect: a cloth for every veil. */
export const cloths = (effect, kinds, picked) =>
  effect.veils.map((veil) => ({
    ...veil,
    what: described(
      veil,
      kinds.get(veil.kind),
      effect.veils.find((v) => v.id === veil.mask.veil),
    ),
    woven: underBrush(effect, veil).mask.cover === "brush-on",
    selected: picked(veil.id),
  }));

/** How many veils there are, in words. */
export function counted({ veils }) {
  if (veils.length === 0) return "no veil yet";
  const up = veils.filter((v) => v.lifted).length;
  return `${veils.length} ${veils.length === 1 ? "veil" : "veils"}${up ? ` · ${up} lifted` : ""}`;
}

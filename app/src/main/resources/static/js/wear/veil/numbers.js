// The numbers of a veil that a dial may turn: those of its kind, and those of the rules of its mask, which
// are named rule1.size and so on. And the places among them.

const RULE = /^rule([1-9])\.(.+)$/;
const ruled = (index, key) => key && `rule${index + 1}.${key}`;

/** Rule and key of a number of a mask's rule; null for a number of the kind. */
export function ruleOf(key) {
  const [, number, own] = RULE.exec(key) ?? [];
  return number ? { index: number - 1, key: own } : null;
}

/** The veil's rules, each with its sort. */
const rulesOf = (veil, sorts) =>
  (veil.mask.rules ?? []).map((rule, index) => ({ rule, index, sort: sorts.find((s) => s.id === rule.kind) }));

/**
 * Descriptors of all numbers, as files name them.
 * @param kind of the veil
 * @param sorts of rule
 */
export function numbersOf(veil, kind, sorts) {
  const named = (index, s) => ({ ...s, key: ruled(index, s.key), group: `Mask, rule ${index + 1}` });
  const masks = rulesOf(veil, sorts).flatMap(({ index, sort }) => sort.settings.map((s) => named(index, s)));
  return [...kind.settings, ...masks].filter((s) => s.type === "number");
}

/** The value that a veil has; undefined where there is no such number. */
export function numberOf(veil, key) {
  const rule = ruleOf(key);
  return rule ? veil.mask.rules?.[rule.index]?.settings[rule.key] : veil.settings[key];
}

/** What of a veil is at a place on the picture, with the names of its numbers as files have them. */
export function handlesIn(veil, kind, sorts) {
  const masks = rulesOf(veil, sorts).flatMap(({ index, sort }) =>
    sort.handles.map((h) => ({
      ...h,
      label: `${h.label} ${index + 1}`,
      x: ruled(index, h.x),
      y: ruled(index, h.y),
      angle: ruled(index, h.angle),
      length: ruled(index, h.length),
    })),
  );
  return [...kind.handles, ...masks];
}

/** Fields of a veil with a number at another value. */
export function withNumber(veil, key, value) {
  const rule = ruleOf(key);
  if (!rule) return { settings: { ...veil.settings, [key]: value } };
  const turn = (r, i) => (i === rule.index ? { ...r, settings: { ...r.settings, [rule.key]: value } } : r);
  return { mask: { ...veil.mask, rules: veil.mask.rules.map(turn) } };
}

/** Where a rule of a mask is found in the mask that it became: its index, −1 where it is gone. */
export function ruleAfter(before, after, index) {
  const rules = after.rules ?? [];
  const was = before.rules ?? [];
  if (rules.length >= was.length) return rules[index]?.kind === was[index].kind ? index : -1;
  const same = (a, b) => b && a.kind === b.kind && JSON.stringify(a.settings) === JSON.stringify(b.settings);
  const gone = was.findIndex((rule, i) => !same(rule, rules[i]));
  if (index === gone) return -1;
  const at = index > gone ? index - 1 : index;
  return rules[at]?.kind === was[index].kind ? at : -1;
}

/** The dials of a veil whose numbers have changed: each holds the new value, those without a number go. */
export function dialsAfter(dials, before, after) {
  return dials.flatMap((dial) => {
    if (dial.veil !== after.id) return [dial];
    const rule = ruleOf(dial.key);
    const at = rule && ruleAfter(before.mask, after.mask, rule.index);
    if (at === -1) return [];
    const key = rule ? ruled(at, rule.key) : dial.key;
    const value = numberOf(after, key);
    return [{ ...dial, key, min: Math.min(dial.min, value), max: Math.max(dial.max, value) }];
  });
}

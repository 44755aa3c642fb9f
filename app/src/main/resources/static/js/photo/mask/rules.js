// The rules of a mask as data: every function gives a new mask.

/** A rule of a sort with every setting at its start. */
export const newRule = (kind) => ({
  kind: kind.id,
  join: "and",
  inverted: false,
  settings: Object.fromEntries(kind.settings.map((s) => [s.key, s.start])),
});

/** A mask by rule that starts with one rule. */
export const ruled = (kind) => ({ cover: "by-rule", rules: [newRule(kind)] });

/** A mask without rules, of its own, whose edge is as it was. */
export function coveringBy(mask, cover) {
  const own = { ...mask, cover };
  delete own.rules;
  delete own.veil;
  return own;
}

/** The mask with one more rule. Where it is brushed on, paint then counts by what the rules select. */
export function withRule(mask, rule) {
  const rules = mask.rules ?? [];
  return { ...mask, cover: mask.cover === "brush-on" ? mask.cover : "by-rule", rules: [...rules, rule] };
}

/** The mask with some fields of a rule changed. */
export const ruleChanged = (mask, index, fields) => ({
  ...mask,
  rules: mask.rules.map((rule, i) => (i === index ? { ...rule, ...fields } : rule)),
});

/** The mask without a rule; everywhere when none is left, unless it is brushed on. */
export function withoutRule(mask, index) {
  const rules = mask.rules.filter((_, i) => i !== index);
  if (rules.length > 0) return { ...mask, rules };
  return coveringBy(mask, mask.cover === "brush-on" ? mask.cover : "everywhere");
}

const settingsOf = ({ settings }) => JSON.stringify(Object.entries(settings).sort());

/** Whether a rule takes away what it selects and nothing else; i is its place. */
const keepsOff = (rule, i) => (rule.join === "minus" ? !rule.inverted : i === 0 && rule.inverted);

/** Where a mask keeps off what a ready-made rule guards: index of its rule, −1 where it does not. */
export const guardAt = (mask, { rule }) =>
  (mask.rules ?? []).findIndex(
    (own, i) => keepsOff(own, i) && own.kind === rule.kind && settingsOf(own) === settingsOf(rule),
  );

/** Whether a mask covers everything but what it is kept off: then a brush is there to hide. */
export const coversMost = ({ cover, rules }) =>
  cover === "everywhere" || (cover === "by-rule" && rules.every(keepsOff));

/** The mask kept off what a ready-made rule guards, or no longer. */
export function guarded(mask, guard) {
  const at = guardAt(mask, guard);
  return at < 0 ? withRule(mask, guard.rule) : withoutRule(mask, at);
}

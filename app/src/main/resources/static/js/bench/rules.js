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

/** A mask without rules whose edge is as it was. */
export function coveringBy(mask, cover) {
  const own = { ...mask, cover };
  delete own.rules;
  return own;
}

/** The mask with one more rule. One that keeps off something, put first, covers all but that. */
export function withRule(mask, rule) {
  const rules = mask.rules ?? [];
  const first = rules.length === 0 && rule.join === "minus" ? { ...rule, join: "and", inverted: !rule.inverted } : rule;
  return { ...mask, cover: "by-rule", rules: [...rules, first] };
}

/** The mask with some fields of a rule changed. */
export const ruleChanged = (mask, index, fields) => ({
  ...mask,
  rules: mask.rules.map((rule, i) => (i === index ? { ...rule, ...fields } : rule)),
});

/** The mask without a rule; everywhere when none is left. */
export function withoutRule(mask, index) {
  const rules = mask.rules.filter((_, i) => i !== index);
  return rules.length > 0 ? { ...mask, rules } : coveringBy(mask, "everywhere");
}

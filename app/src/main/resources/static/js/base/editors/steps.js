// Steps by keys, the same in every editor: an arrow is one, Page up and Page down are ten.

const STEPS = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 };

/** Steps that a key stands for; 0 for other keys. */
export const stepsOf = ({ key }) => STEPS[key] ?? 0;

/** The nearest value on the grid of a setting's steps, within its range. */
export const onGrid = ({ min, max, step, start }, value) =>
  Math.min(max, Math.max(min, Math.round((value - start) / step) * step + start));

/**
 * Where a value comes to after some steps.
 * @param setting { min, max, step, start, mark }
 * @param fine whether marks are left alone
 */
export function stepped(setting, value, steps, fine = false) {
  const { step, mark } = setting;
  if (!mark || fine) return onGrid(setting, value + steps * step);
  const far = Math.abs(steps) > 1 ? Math.sign(steps) * Math.round(1 / mark) : steps;
  const at = value / mark;
  const near = step / mark / 2;
  return onGrid(setting, (far > 0 ? Math.floor(at + near) + far : Math.ceil(at - near) + far) * mark);
}

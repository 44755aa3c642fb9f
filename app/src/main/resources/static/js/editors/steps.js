// Steps by keys, the same in every editor: an arrow is one, Page up and Page down are ten.

const STEPS = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 };

/** Steps that a key stands for; 0 for other keys. */
export const stepsOf = ({ key }) => STEPS[key] ?? 0;

/**
 * Where a value comes to after some steps.
 * @param setting { min, max, step, start, mark }
 * @param fine whether marks are left alone
 */
export function stepped({ min, max, step, start, mark }, value, steps, fine = false) {
  const within = (v) => Math.min(max, Math.max(min, v));
  const grid = (v) => within(Math.round((v - start) / step) * step + start);
  if (!mark || fine) return grid(value + steps * step);
  const far = Math.abs(steps) > 1 ? Math.sign(steps) * Math.round(1 / mark) : steps;
  const at = value / mark;
  const near = step / mark / 2;
  return grid((far > 0 ? Math.floor(at + near) + far : Math.ceil(at - near) + far) * mark);
}

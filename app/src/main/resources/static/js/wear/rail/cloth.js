// The shape of a hanging cloth. Pure: sizes in, SVG path data out.

const WAVE = 56;
const SWING = 4;

/** Outline of a cloth from the rail down to drop, with a waving hem. */
export function cloth(width, drop) {
  const d = Math.max(drop, 8);
  const waves = Math.max(1, Math.round(width / WAVE));
  const step = width / waves;
  let path = `M0.5 0H${(width - 0.5).toFixed(1)}V${d.toFixed(1)}`;
  for (let i = waves; i > 0; i -= 1) {
    const right = i * step;
    const left = right - step;
    const third = step / 3;
    const end = i === 1 ? 0.5 : left;
    path += `C${(right - third).toFixed(1)} ${(d + SWING).toFixed(1)} ${(left + third).toFixed(1)} ${(d - SWING).toFixed(1)} ${end.toFixed(1)} ${d.toFixed(1)}`;
  }
  return `${path}Z`;
}

/** Faint folds within a cloth. */
export function folds(width, drop) {
  const count = width < 40 ? 1 : Math.max(2, Math.round(width / 34));
  const lines = [];
  for (let i = 1; i <= count; i += 1) {
    const x = ((i / (count + 1)) * width).toFixed(1);
    lines.push(`M${x} 3V${Math.max(4, drop - 7).toFixed(1)}`);
  }
  return lines.join("");
}

/** The dotted outline of a cloth that is fully down. */
export const ghost = (width, drop) => `M0.5 0V${drop}H${(width - 0.5).toFixed(1)}V0`;

/** A cloth that is rolled up on the rail. */
export const roll = (width) => `M6 0H${width - 6}a5 5 0 0 1 0 10H6a5 5 0 0 1 0 -10Z`;

/** Drop of a hem in pixels for an opacity 0…1. */
export const dropOf = (opacity, full) => Math.max(8, opacity * full);

/** Opacity 0…1, in steps of one per cent, for a hem at that height. */
export const opacityAt = (y, full) => Math.min(1, Math.max(0, Math.round((y / full) * 100) / 100));

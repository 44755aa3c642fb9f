// The line of a tone curve as it is drawn: Steffen's monotone cubic, as in the engine's
// MonotoneCubic (M. Steffen, Astronomy and Astrophysics 239, 1990). Only for drawing.

export function monotone(points) {
  const x = points.map((p) => p[0]);
  const y = points.map((p) => p[1]);
  const last = x.length - 1;
  const secant = (i) => (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
  const slope = x.map((_, i) => {
    if (i === 0 || i === last) return 0;
    const h0 = x[i] - x[i - 1];
    const h1 = x[i + 1] - x[i];
    const [s0, s1] = [secant(i - 1), secant(i)];
    const p = (s0 * h1 + s1 * h0) / (h0 + h1);
    const bound = Math.min(Math.abs(s0), Math.abs(s1), 0.5 * Math.abs(p));
    return (Math.sign(s0) + Math.sign(s1)) * bound;
  });
  const end = (s, neighbour) => {
    if (last === 1) return s;
    const m = (3 * s - neighbour) / 2;
    if (m * s <= 0) return 0;
    return Math.abs(m) > 2 * Math.abs(s) ? 2 * s : m;
  };
  slope[0] = end(secant(0), slope[1]);
  slope[last] = end(secant(last - 1), slope[last - 1]);
  return (u) => {
    if (u <= x[0]) return y[0];
    if (u >= x[last]) return y[last];
    let i = 0;
    while (u > x[i + 1]) i += 1;
    const h = x[i + 1] - x[i];
    const s = secant(i);
    const a = (slope[i] + slope[i + 1] - 2 * s) / (h * h);
    const b = (3 * s - 2 * slope[i] - slope[i + 1]) / h;
    const d = u - x[i];
    return ((a * d + b) * d + slope[i]) * d + y[i];
  };
}

// What the brush can be set to, and strokes as the application takes them.
import { HOLDING } from "../../base/web/rules.js";

export const SETTINGS = [
  { key: "size", label: "Size", unit: "%", min: 0.2, max: 40, step: 0.2, start: 8 },
  { key: "softness", label: "Softness", unit: "%", min: 0, max: 100, step: 1, start: 70 },
  { key: "strength", label: "Strength", unit: "%", min: 1, max: 100, step: 1, start: 100 },
  { key: "flow", label: "Flow", unit: "%", min: 1, max: 100, step: 1, start: 60 },
  { key: "holding", label: "Holding", unit: "ΔE", min: 0, max: HOLDING, step: 1, start: 0 },
];

const FINEST = 100_000; // points are kept to this share of the long side, finer than any pixel

const rounded = (share) => Math.round(share * FINEST) / FINEST;

/** The stroke along points { x, y, pressure } of the photo, with the brush as it is set. */
export function strokeOf(values, points) {
  const { size, softness, strength, flow, reveal, holding, pressed } = values;
  const pen = pressed !== "" && points.some((p) => p.pressure !== null);
  return {
    ...(pen && { pressed, pressure: points.map((p) => p.pressure ?? 1) }),
    ...(holding > 0 && { holding }),
    points: points.flatMap((p) => [rounded(p.x), rounded(p.y)]),
    size: size / 100,
    softness: softness / 100,
    strength: strength / 100,
    flow: flow / 100,
    reveal,
  };
}

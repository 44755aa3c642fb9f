// How much is too much: the photo that goes farthest, against opacity, with the limit and the
// highest opacity at which all are within.
import { svg } from "../../base/editors/svg.js";

const [W, H] = [360, 96];
const TOP_SHARE = 2; // twice the limit lies at the upper edge

const x = (opacity) => 4 + opacity * (W - 8);
const y = (share) => H - 16 - (Math.min(TOP_SHARE, share) / TOP_SHARE) * (H - 24);

/** Points of the line as SVG writes them. */
export const points = (curve) => curve.map(([at, worst]) => `${x(at).toFixed(1)},${y(worst).toFixed(1)}`).join(" ");

/** @param found { curve: [[opacity, share of the limit, photos within]], at, photos, start } */
export function curveOf({ curve, at, photos, start }) {
  const words = `Up to ${Math.round(at * 100)} % all ${photos} photos are within`;
  const made = svg("svg", { viewBox: `0 0 ${W} ${H}`, class: "much-curve", role: "img", "aria-label": words });
  made.append(
    svg("line", { x1: x(0), x2: x(1), y1: y(1), y2: y(1), class: "much-limit" }),
    svg("polyline", { points: points(curve), class: "much-line" }),
    svg("line", { x1: x(at), x2: x(at), y1: 4, y2: H - 16, class: "much-at" }),
    svg("line", { x1: x(start), x2: x(start), y1: H - 20, y2: H - 12, class: "much-now" }),
  );
  for (const share of [0, 0.25, 0.5, 0.75, 1]) {
    const label = svg("text", {
      x: x(share),
      y: H - 3,
      "text-anchor": share === 0 ? "start" : share === 1 ? "end" : "middle",
    });
    label.textContent = `${share * 100} %`;
    made.append(label);
  }
  const said = svg("text", {
    x: at > 0.6 ? x(at) - 6 : x(at) + 6,
    y: at > 0.6 ? 14 : H - 22,
    "text-anchor": at > 0.6 ? "end" : "start",
    class: "much-words",
  });
  said.textContent = `${Math.round(at * 100)} %: all ${photos} within`;
  made.append(said);
  return made;
}

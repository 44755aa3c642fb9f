// Elements of SVG.

const NS = "http://www.w3.org/2000/svg";

export function svg(name, attributes = {}, parent = null) {
  const made = document.createElementNS(NS, name);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  parent?.append(made);
  return made;
}

/**
 * The outline of a histogram's luma in a box, as the data of a path; the share that is commonest reaches
 * near the top.
 */
export function tonesPath(histogram, width, height) {
  const sums = histogram.luma;
  const top = Math.max(1, ...sums.slice(1, 255));
  const points = sums.map(
    (n, i) =>
      `L${((i / 255) * width).toFixed(1)} ${(height - Math.sqrt(Math.min(1, n / top)) * height * 0.92).toFixed(1)}`,
  );
  return `M0 ${height}${points.join("")}L${width} ${height}Z`;
}

// Values to begin with, by name: what is picked becomes ordinary settings.

/**
 * @param points [{ label, values }]
 * @param start(point) called with what was picked
 */
export function startingPoints(points, start) {
  const select = document.createElement("select");
  select.className = "starting-points";
  select.setAttribute("aria-label", "Start from");
  select.add(new Option("Start from …", ""));
  for (const point of points) select.add(new Option(point.label));
  select.addEventListener("change", () => {
    const point = points[select.selectedIndex - 1];
    select.value = "";
    if (point) start(point);
  });
  return select;
}

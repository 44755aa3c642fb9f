// The colours at the pointer, plain and finished.

const figures = (rgb) => (rgb ? rgb.join(" ") : "–");

export function showSpot(heading, list, reading) {
  const [plain, finished] = list.querySelectorAll("dd");
  heading.textContent = reading?.plain ? `x ${Math.floor(reading.point.x)} y ${Math.floor(reading.point.y)}` : "";
  plain.textContent = figures(reading?.plain);
  finished.textContent = figures(reading?.finished);
}

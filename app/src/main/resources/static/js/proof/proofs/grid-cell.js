// What is in a cell of the sheet: a proof with its verdict, or a number.
import { FOOT } from "./sheet-state.js";
import { matches, tone, valueWords, verdictLine } from "../../photo/readings/verdicts.js";

const isAside = (cell) => cell?.state === "not judged";

function saidOf(cell, line) {
  if (isAside(cell)) return `not judged, ${line.textContent}`;
  return line?.textContent ?? (cell ? "within" : "not rendered yet");
}

const verdictOf = (state) =>
  Object.assign(document.createElement("span"), { className: `verdict is-${state.split(",")[0]}`, textContent: state });

/** An empty cell. */
export function cellOf(key, clicked) {
  const element = Object.assign(document.createElement("div"), { className: "grid-cell" });
  element.setAttribute("role", "gridcell");
  element.dataset.cell = key;
  element.addEventListener("click", clicked);
  return { element, stale: true };
}

/**
 * Draws a cell.
 * @param made { element, address }: what is in the page
 * @param what { cell, key, column, photo, opened: the key of the cell whose card is open }
 * @param sheet, measures, height of a cell
 */
export function fillCell(made, { cell, key, column, photo, opened }, { sheet, measures, height }) {
  const { element } = made;
  element.classList.toggle("is-out", !matches(sheet.look.wanted, cell));
  element.classList.toggle("is-open", key === opened);
  element.classList.toggle("is-aside", isAside(cell));
  const line = cell && verdictLine(cell, measures);
  element.setAttribute("aria-label", `${column.name} on ${photo.name}: ${saidOf(cell, line)}`);
  if (!cell) return element.replaceChildren();
  if (sheet.values) return number(element, sheet.values.get(key), line, measures.get(sheet.look.measure));
  const address = `/proofs/pictures/${column.id}/${photo.id}${cell.made ? `?v=${cell.made}` : ""}`;
  if (made.address !== address || !element.querySelector("img")) {
    made.address = address;
    element.replaceChildren(Object.assign(new Image(), { alt: "", src: address, draggable: false }));
  } else element.querySelector(".verdict")?.remove();
  element.querySelector("img").style.maxHeight = `${height - FOOT}px`;
  if (line) element.append(line);
}

function number(element, found, line, { unit }) {
  const figure = Object.assign(document.createElement("b"), { className: "grid-number" });
  figure.textContent = found?.value === undefined ? "–" : valueWords(found.value, unit);
  figure.style.setProperty("--tone", tone(found?.share));
  element.replaceChildren(figure);
  if (found?.state && found.state !== "within") element.append(verdictOf(found.state));
  else if (line?.classList.contains("is-not-judged")) element.append(line);
}

// The edges of the sheet: effects along the top, photos down the side; what they say comes later.

/** The head of an effect's column. */
export function headOf(opened) {
  const element = Object.assign(document.createElement("button"), { type: "button", className: "grid-head" });
  element.addEventListener("click", opened);
  return { element, stale: true };
}

/** A photo before its row. */
export function sideOf(photo) {
  const element = Object.assign(document.createElement("a"), { className: "grid-photo", href: `/photos/${photo.id}` });
  const small = Object.assign(new Image(), { alt: "", loading: "lazy", src: `/photos/${photo.id}/small` });
  const words = document.createElement("span");
  const facts = document.createElement("small");
  words.append(photo.name, facts);
  element.append(small, words);
  return { element, facts, stale: true };
}

/** The row of a photo's cells. */
export function lineOf() {
  const line = Object.assign(document.createElement("div"), { className: "grid-row" });
  line.setAttribute("role", "row");
  return line;
}

export function fillHead({ element }, column, sheet) {
  const section = document.createElement("span");
  const where = column.first || sheet.look.order === "worst" ? sheet.sections.get(column.section) : "";
  section.textContent = column.older ? "older edition" : where;
  element.replaceChildren(section, column.name);
  element.title = `${column.name}: how much of it is too much, its dials`;
  element.classList.toggle("is-first", column.first);
}

/** @param fact what the photo is, in a line; undefined where that is not known yet */
export function fillSide({ element, facts }, photo, fact) {
  facts.textContent = [fact, photo.tags.join(" · ")].filter(Boolean).join(" · ");
  element.title = `${photo.name}: ${facts.textContent}`;
}

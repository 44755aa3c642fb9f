// An effect as it hangs: its picture from two threads, the cloths of its veils as a hem, its name and
// how far it has come.

const element = (tag, className, ...inside) => {
  const made = document.createElement(tag);
  made.className = className;
  made.append(...inside);
  return made;
};

/** What a screen reader says of a piece. */
export const pieceWords = (number, e, mark) =>
  [
    number,
    e.name,
    mark ? `marked ${mark.word}` : "",
    e.favourite ? "favourite" : "",
    e.line,
    ...e.tags.map((t) => `tagged ${t}`),
  ]
    .filter(Boolean)
    .join(", ");

/** Makes a piece; {@link fillPiece} gives it what it shows. */
export function newPiece(id) {
  const piece = element("div", "piece-hung");
  piece.dataset.effect = id;
  piece.setAttribute("role", "option");
  piece.tabIndex = -1;
  const picture = element("div", "piece-picture");
  const hem = element("div", "piece-hem");
  const name = element("div", "piece-name");
  const line = element("div", "piece-line");
  piece.append(picture, hem, name, line);
  return piece;
}

/** @param where { number, address: of its picture, or "", mark: { sign, word } if it has one } */
export function fillPiece(piece, effect, { number, address, mark }) {
  const [picture, hem, name, line] = piece.children;
  const planned = effect.state === "planned";
  piece.classList.toggle("is-planned", planned);
  piece.setAttribute("aria-label", pieceWords(number, effect, mark));
  if (planned || !address) picture.replaceChildren(planned ? "to be built" : "");
  else if (picture.firstChild?.getAttribute?.("src") !== address) {
    picture.replaceChildren(Object.assign(new Image(), { alt: "", loading: "lazy", draggable: false, src: address }));
  }
  const kinds = effect.kinds.join(" ");
  if (hem.dataset.kinds !== kinds) {
    hem.dataset.kinds = kinds;
    hem.replaceChildren(
      ...effect.kinds.map((kind) => {
        const cloth = document.createElement("i");
        cloth.dataset.kind = kind;
        return cloth;
      }),
    );
  }
  name.replaceChildren(
    ...(number ? [element("span", "piece-number", number)] : []),
    Object.assign(element("b", "", effect.name), { title: effect.name }),
    ...(mark ? [Object.assign(element("span", "piece-mark", mark.sign), { title: mark.word })] : []),
    ...(effect.favourite ? [element("span", "piece-star", "★")] : []),
  );
  line.textContent = effect.line;
  line.title = effect.line;
  line.className = `piece-line${effect.over > 0 ? " is-over" : effect.state === "in work" ? " is-lacking" : ""}`;
}

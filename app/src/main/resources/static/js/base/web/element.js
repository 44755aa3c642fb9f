// Makes an element with fields and what is inside.
export function element(tag, fields = {}, ...inside) {
  const made = Object.assign(document.createElement(tag), fields);
  made.append(...inside);
  return made;
}

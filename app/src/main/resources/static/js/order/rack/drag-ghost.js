// What hangs at the pointer while effects are dragged.
const MOST_SHOWN = 3;

/** @param images those of what is dragged, as far as there are */
export function ghostOf(images) {
  const ghost = Object.assign(document.createElement("div"), { className: "drag-ghost" });
  for (const image of images.slice(0, MOST_SHOWN)) {
    ghost.append(image ? Object.assign(new Image(), { src: image.src, alt: "" }) : document.createElement("span"));
  }
  if (images.length > 1) ghost.append(Object.assign(document.createElement("b"), { textContent: images.length }));
  return ghost;
}

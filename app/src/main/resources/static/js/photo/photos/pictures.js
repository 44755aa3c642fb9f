// A photo on the wall: its picture, its name to be changed, its size, and taking it off.
import { NAME } from "../../base/web/rules.js";

/**
 * @param photo [id, name, width, height]
 * @param opens address of the page of a photo up to its id; empty where photos have none
 */
export function picture([id, name, width, height], opens = "") {
  const figure = document.createElement("figure");
  figure.dataset.photo = id;
  const box = document.createElement(opens ? "a" : "div");
  box.className = "picture";
  if (opens) Object.assign(box, { href: `${opens}${id}`, title: "What it holds" });
  box.append(Object.assign(new Image(), { loading: "lazy", alt: name, src: `/photos/${id}/small` }));
  const field = Object.assign(document.createElement("input"), { value: name, defaultValue: name, maxLength: NAME });
  field.setAttribute("aria-label", "Name of the photo");
  field.dataset.rename = `/api/photos/${id}`;
  const off = Object.assign(document.createElement("button"), {
    type: "button",
    className: "button quiet small",
    textContent: "Take off",
  });
  off.setAttribute("aria-label", `Take off ${name}`);
  off.dataset.send = `DELETE /api/photos/${id}`;
  const size = document.createElement("span");
  size.append(`${width} × ${height}`, off);
  const caption = document.createElement("figcaption");
  caption.append(field, size);
  figure.append(box, caption);
  return figure;
}

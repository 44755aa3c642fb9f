// The elements of a cloth on the rail, as yet without words and figures.
import { drawing } from "./cloth-shapes.js";

const span = (className) => Object.assign(document.createElement("span"), { className });

function hemOf() {
  const hem = Object.assign(document.createElement("div"), { className: "hem", tabIndex: 0 });
  const role = { role: "slider", "aria-orientation": "vertical", "aria-valuemin": "0", "aria-valuemax": "100" };
  for (const [name, value] of Object.entries(role)) hem.setAttribute(name, value);
  hem.append(span("share"));
  return hem;
}

export function railItem(id) {
  const element = Object.assign(document.createElement("div"), { className: "veil" });
  element.dataset.veil = id;
  const pick = Object.assign(document.createElement("button"), { type: "button", className: "pick" });
  pick.append(span("name"), span("what"));
  const hem = hemOf();
  element.append(drawing(), pick, hem);
  return { element, pick, hem };
}

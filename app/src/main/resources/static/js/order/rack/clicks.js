// What is clicked on a rack.
import { isTyping } from "../../base/web/typing.js";

const piece = (event) => event.target.closest("[data-effect]");

/**
 * @param sections the box with the rails
 * @param on { act(name), size(name), photo(id), untag(tag), section(what, id), piece(event, id), opened(id),
 *   ground(): beside everything }
 */
export function listenClicks(page, sections, on) {
  const buttons = {
    rackAct: on.act,
    size: on.size,
    photo: on.photo,
    untag: on.untag,
    toSection: (id) =>
      sections.querySelector(`[data-section="${id}"]`).scrollIntoView({ block: "start", behavior: "smooth" }),
    sectionAct: (what, button) => on.section(what, Number(button.closest("[data-section]").dataset.section)),
  };
  page.addEventListener("click", (event) => {
    const button = event.target.closest("button");
    const name = button && Object.keys(buttons).find((n) => button.dataset[n]);
    if (name) return buttons[name](button.dataset[name], button);
    const at = piece(event);
    if (at && !isTyping(event.target)) on.piece(event, Number(at.dataset.effect));
    else if (event.target.closest("[data-rails]") && !button) on.ground();
  });
  page.addEventListener("dblclick", (event) => {
    const at = piece(event);
    if (at && !isTyping(event.target)) on.opened(Number(at.dataset.effect));
  });
  for (const button of document.querySelectorAll(".top [data-rack-act]"))
    button.addEventListener("click", () => on.act(button.dataset.rackAct));
}

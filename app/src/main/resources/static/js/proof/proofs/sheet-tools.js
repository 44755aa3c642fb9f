// The tools above a proof sheet: what is shown of it, kept of it and rendered.
import { send } from "../../base/web/http.js";
import { partsOf } from "../../base/web/parts.js";
import { sayFault } from "../../base/web/say.js";
import { photoChoices } from "./sheet-state.js";

/** Fills the choosers with what there is. */
export function showChoices(find, data, sheet) {
  find("look='measure'").append(...data.measures.map((m) => new Option(m.label, m.id)));
  find("look='section'").append(...data.sections.map(([id, name]) => new Option(name, id)));
  const { tags, regions } = photoChoices(sheet);
  for (const [kind, label, list] of [
    ["tag", "Tagged", tags],
    ["region", "With", regions],
  ]) {
    if (list.length === 0) continue;
    const group = Object.assign(document.createElement("optgroup"), { label });
    group.append(...list.map((name) => new Option(name, `${kind}:${name}`)));
    find("look='photos'").append(group);
  }
}

/** @param on { show(view), wish(change), showMeasure(id), keep(as), approve(), begin(), address } */
export function listenSheet(page, find, on) {
  const clicked = (of, name, run) => {
    for (const button of of.querySelectorAll(`[data-${name}]`))
      button.addEventListener("click", () => run(button.dataset[name], button));
  };
  clicked(page, "view", on.show);
  clicked(page, "wanted", (wanted) => on.wish({ wanted }));
  clicked(page, "size", (size) => on.wish({ size }));
  for (const select of page.querySelectorAll("[data-look]")) {
    const { look } = select.dataset;
    select.addEventListener("change", () =>
      look === "measure" ? on.showMeasure(select.value) : on.wish({ [look]: select.value }),
    );
  }
  partsOf(page);
  clicked(document, "keep", (as, button) => {
    button.closest("details").open = false;
    on.keep(as);
  });
  clicked(document, "approve", on.approve);
  find("start").addEventListener("click", on.begin);
  find("stop").addEventListener("click", () => send("POST", `${on.address}/stop`).catch(sayFault));
}

const press = (page, name, value) => {
  for (const button of page.querySelectorAll(`[data-${name}]`))
    button.setAttribute("aria-pressed", String(button.dataset[name] === value));
};

/** Shows which cells are looked at, and how. */
export function showLook(page, look) {
  press(page, "wanted", look.wanted);
  press(page, "size", look.size);
  for (const select of page.querySelectorAll("[data-look]")) select.value = look[select.dataset.look];
}

/** Shows the parts of a view and hides those of the others. */
export function showView(page, view) {
  press(page, "view", view);
  for (const part of page.querySelectorAll("[data-in]")) part.hidden = part.dataset.in !== view;
  for (const tools of page.querySelectorAll("[data-tools]")) tools.hidden = tools.dataset.tools !== view;
}

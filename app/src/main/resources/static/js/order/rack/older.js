// Effects of an older edition of the engine: what updating changes is seen first, then it is done, singly
// or all.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";

const figure = (src, words) =>
  element(
    "figure",
    {},
    element("img", { src, alt: "", loading: "lazy" }),
    element("figcaption", { textContent: words }),
  );

/** @param effects { id, name, rev } ; @param how { photo: id, act(path, body): promise of it being done } */
export function updated(effects, { photo, act }) {
  const list = element("ul", { className: "older-list" });
  const fault = element("p", { className: "fault", hidden: true });
  const close = element("button", { type: "button", className: "button", textContent: "Close" });
  const all = element("button", {
    type: "button",
    className: "button primary",
    textContent: effects.length === 1 ? "Update it" : `Update all ${effects.length}`,
  });
  const dialog = element(
    "dialog",
    { className: "dialog is-wide" },
    element("h2", { textContent: "Made with an older edition", id: "older" }),
    element("p", {
      className: "text-muted",
      textContent:
        "They look as they always did until they are updated. This is what updating changes on the photo that is shown.",
    }),
    list,
    fault,
    element("div", { className: "ends" }, close, all),
  );
  dialog.setAttribute("aria-labelledby", "older");

  async function update(ids) {
    fault.hidden = true;
    try {
      await act("update", { effects: ids });
      for (const id of ids) list.querySelector(`[data-older="${id}"]`)?.remove();
      if (list.children.length === 0) dialog.close();
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
    }
  }

  for (const e of effects) {
    const by = element("span", { className: "text-muted", textContent: "measuring" });
    const one = element("button", { type: "button", className: "button small", textContent: "Update" });
    one.setAttribute("aria-label", `Update ${e.name}`);
    one.addEventListener("click", () => update([e.id]));
    const row = element(
      "li",
      {},
      figure(`/effects/${e.id}/on/${photo}?v=${e.rev}`, "as it is"),
      figure(`/effects/${e.id}/newest/${photo}`, "updated"),
      element("div", {}, element("b", { textContent: e.name }), by, one),
    );
    row.dataset.older = e.id;
    list.append(row);
    send("GET", `/api/older/${e.id}/${photo}`).then(
      (answer) =>
        (by.textContent = `Edition ${answer.edition} to ${answer.newest}: moves by ΔE ${answer.by.toFixed(1)}`),
      (error) => (by.textContent = error.message),
    );
  }
  close.addEventListener("click", () => dialog.close());
  all.addEventListener("click", () => update([...list.children].map((row) => Number(row.dataset.older))));
  dialog.addEventListener("close", () => dialog.remove());
  document.body.append(dialog);
  dialog.showModal();
}

// Which photos of the test wall a kit is shown on, and which one stands for it.
import { element } from "../../base/web/element.js";

/** @param wall photos { id, name } ; @param how { rack(): state, act(path, body): promise } */
export function chooseShown(wall, { rack, act }) {
  const list = element("div", { className: "wall-choice" });
  const close = element("button", { type: "button", className: "button primary", textContent: "Done" });
  const dialog = element(
    "dialog",
    { className: "dialog is-wide" },
    element("h2", { textContent: "Shown on", id: "shown-on" }),
    element("p", {
      className: "text-muted",
      textContent: "Effects of this kit are shown on these photos. One of them stands for the kit.",
    }),
    list,
    element("div", { className: "ends" }, close),
  );
  dialog.setAttribute("aria-labelledby", "shown-on");
  const draw = () => {
    const { photos, cover } = rack();
    list.replaceChildren(
      ...wall.map((p) => {
        const on = photos.some((shown) => shown.id === p.id);
        const tick = element("input", { type: "checkbox", checked: on });
        tick.addEventListener("change", () => run("shown", { photo: p.id, on: tick.checked }));
        const stands = element("button", {
          type: "button",
          className: "button quiet small",
          textContent: cover === p.id ? "★ stands for the kit" : "Let it stand for the kit",
          disabled: cover === p.id,
        });
        stands.addEventListener("click", () => run("cover", { photo: p.id }));
        return element(
          "div",
          { className: on ? "is-on" : "" },
          element(
            "label",
            {},
            element("img", { src: `/photos/${p.id}/small`, alt: "" }),
            element("span", {}, tick, ` ${p.name}`),
          ),
          stands,
        );
      }),
    );
  };
  const run = async (path, body) => {
    await act(path, body);
    draw();
  };
  close.addEventListener("click", () => dialog.close());
  dialog.addEventListener("close", () => dialog.remove());
  document.body.append(dialog);
  draw();
  dialog.showModal();
}

// Looks of her own: what is worn is kept under a name, and any photo wears it again.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { whileLookedAt } from "../../base/web/looked-at.js";
import { say, sayFault } from "../../base/web/say.js";
import { takeBack } from "../../base/web/take-back.js";
import { renderSmall } from "../../photo/stage/small.js";
import { sayWorn } from "./together.js";

/**
 * @param box [data-looks-kept]
 * @param dialog [data-look-keep]
 * @param f { state, store, peek(body | null, words), undo(redo, edit), address(): of rendering, names: by key of
 *   an effect, fitting(), open: button }
 * @returns { show(), photo(): another photo has come }
 */
export function ownLooks(box, dialog, f) {
  const list = box.querySelector("[data-looks-list]");
  const form = dialog.querySelector("form");
  const fault = form.querySelector(".fault");
  let looks = [];

  async function wear(look) {
    f.peek(null);
    const answer = await f.store.ask((name) => send("POST", `/api/looks/${look.id}/wear/${f.state.id}`, {}, name));
    if (answer) sayWorn(`The photo wears “${look.name}”.`, f.state, answer, f.undo);
  }

  function one(look) {
    const canvas = document.createElement("canvas");
    const button = element(
      "button",
      { type: "button", className: "piece", title: look.missing || look.effects, disabled: look.missing !== "" },
      canvas,
      element("span", { textContent: look.name }),
    );
    button.dataset.ownLook = look.id;
    whileLookedAt(
      button,
      () => f.peek({ fitting: look.fitting }, look.name),
      () => f.peek(null),
    );
    button.addEventListener("click", () => wear(look).catch(sayFault));
    const box = element("div", { className: "offer" }, button);
    if (look.missing) box.append(element("small", { className: "piece-older", textContent: look.missing }));
    return box;
  }

  /** The small pictures are of the photo that is worn. */
  function draw() {
    const own = looks;
    const wanted = looks
      .map((look, i) => ({ canvas: list.children[i].querySelector("canvas"), body: { fitting: look.fitting }, look }))
      .filter(({ look }) => !look.missing);
    const photo = f.state.id;
    renderSmall(f.address(), wanted, () => own === looks && photo === f.state.id).catch(sayFault);
  }

  async function load() {
    ({ looks } = await send("GET", `/api/looks?wardrobe=${encodeURIComponent(f.state.wardrobe)}`));
    box.hidden = looks.length === 0;
    list.replaceChildren(...looks.map(one));
    draw();
  }

  async function discard({ address, edit }) {
    await takeBack((q) => send("POST", `${address}?${q}`), { redo: false, edit });
    await load();
  }

  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    fault.hidden = true;
    try {
      await f.store.settled();
      const name = form.elements.name.value;
      const { said, undone } = await send("POST", "/api/looks", { fitting: f.state.id, name });
      dialog.close();
      say(said, { action: () => discard(undone).catch(sayFault) });
      await load();
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
    }
  });
  f.open.addEventListener("click", () => {
    fault.hidden = true;
    form.elements.name.value = f
      .fitting()
      .worn.slice(0, 2)
      .map((w) => f.names.get(w.effect))
      .filter(Boolean)
      .join(", ")
      .slice(0, 60);
    dialog.showModal();
    form.elements.name.select();
  });

  load()
    .then(() => {
      const asked = /^#look=(\d+)$/.exec(location.hash)?.[1];
      const button = asked && list.querySelector(`[data-own-look="${asked}"]`);
      button?.scrollIntoView({ block: "center" });
      button?.focus({ focusVisible: true });
    })
    .catch(sayFault);

  return { photo: draw };
}

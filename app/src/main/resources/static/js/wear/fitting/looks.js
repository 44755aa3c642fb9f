// Looks of her own: what is worn is kept under a name, and any photo wears it again.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { whileLookedAt } from "../../base/web/looked-at.js";
import { say, sayFault } from "../../base/web/say.js";
import { takeBack } from "../../base/web/take-back.js";

/**
 * @param box [data-looks-kept]
 * @param dialog [data-look-keep]
 * @param f { state, store, photos, ask(path, body), peek(body | null, words), names: by key of an effect,
 *   fitting(), open: button }
 */
export function ownLooks(box, dialog, f) {
  const list = box.querySelector("[data-looks-list]");
  const form = dialog.querySelector("form");
  const fault = form.querySelector(".fault");

  async function wear(look) {
    await f.photos.there; // a click on the way to another photo is for that one
    f.peek(null);
    return f.ask("look", { look: look.id });
  }

  function one(look) {
    const small = `/api/looks/${look.id}/small?photo={photo}`;
    const there = look.missing === "";
    const button = element(
      "button",
      { type: "button", className: "piece", title: look.missing || look.effects, disabled: !there },
      ...(there ? [element("img", { alt: "", loading: "lazy", src: small.replace("{photo}", f.state.photo) })] : []),
      element("span", { textContent: look.name }),
      ...(there ? [] : [element("small", { className: "piece-older", textContent: "not at the desk" })]),
    );
    button.dataset.ownLook = look.id;
    if (there) button.querySelector("img").dataset.small = small;
    whileLookedAt(
      button,
      () => f.peek({ fitting: look.fitting }, look.name),
      () => f.peek(null),
    );
    button.addEventListener("click", () => wear(look).catch(sayFault));
    return element("div", { className: "offer" }, button);
  }

  async function load() {
    const { looks } = await send("GET", `/api/looks?wardrobe=${encodeURIComponent(f.state.wardrobe)}`);
    box.hidden = looks.length === 0;
    list.replaceChildren(...looks.map(one));
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
}

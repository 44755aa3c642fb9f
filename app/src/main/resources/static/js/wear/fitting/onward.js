// A look goes on to other photos: to the next one, to those that are ticked, or from the one before.
import { send } from "../../base/web/http.js";
import { say } from "../../base/web/say.js";
import { sayWorn } from "./together.js";

/**
 * @param root element with the buttons
 * @param f { state, photos, store, undo(redo, edit), worn(): whether anything is worn, pins(): [{ id, name }] }
 * @returns { next(), before(), show(), ticked() }
 */
export function onward(root, { state, photos, store, undo, worn, pins }) {
  const find = (name) => root.querySelector(`[data-${name}]`);
  const [box, look, wear] = ["ticking", "ticking-look", "ticking-wear"].map(find);

  const told = (answer) => answer?.said && sayWorn(answer.said, state, answer, undo);

  function next() {
    if (!worn()) return say("This photo wears nothing yet that another one could wear.");
    if (photos.all.length < 2) return say("There is no other photo yet.");
    photos.nextWearing();
  }

  async function before() {
    const { before: other } = photos;
    if (!other) return say("There is no photo before this one.");
    const body = { wardrobe: state.wardrobe, photo: photos.photo.id, as: other.id };
    told(await store.ask((name) => send("POST", "/api/fittings/as-on", body, name)));
  }

  function offer() {
    if (photos.ticked) return photos.tick(null);
    const looks = [["", "what it wears now"], ...pins().map((pin) => [pin.id, pin.name])];
    look.replaceChildren(...looks.map(([value, text]) => new Option(text, value)));
    photos.tick([]);
  }

  function ticked() {
    box.hidden = !photos.ticked;
    find("onward-copy").setAttribute("aria-expanded", String(!box.hidden));
    const n = photos.ticked?.size ?? 0;
    wear.disabled = n === 0;
    wear.textContent = n === 0 ? "Wear it" : `Wear it on ${n} ${n === 1 ? "photo" : "photos"}`;
  }

  async function copy() {
    const ids = [...photos.ticked].map((photo) => photo.id);
    const body = { photos: ids, ...(look.value && { pin: Number(look.value) }) };
    const answer = await store.ask((name, on, at) => send("POST", `${at}/pass`, body, name));
    if (answer) photos.tick(null);
    told(answer);
  }

  find("onward-next").addEventListener("click", next);
  find("onward-before").addEventListener("click", before);
  find("onward-copy").addEventListener("click", offer);
  find("ticking-cancel").addEventListener("click", () => photos.tick(null));
  find("ticking-all").addEventListener("click", () => {
    const others = photos.all.filter((photo) => photo !== photos.photo);
    photos.tick(photos.ticked.size < others.length ? others : []);
  });
  wear.addEventListener("click", copy);

  return {
    ...{ next, before, ticked },
    /** What can be done now. */
    show() {
      find("onward-next").disabled = !worn() || photos.all.length < 2;
      find("onward-copy").disabled = (!worn() && pins().length === 0) || photos.all.length < 2;
      find("onward-before").disabled = !photos.before;
    },
  };
}

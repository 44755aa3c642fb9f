// A name changed where it stands.
import { NAME } from "../../base/web/rules.js";

/**
 * @param place element whose words are the name ; @param name as it is now
 * @param store (name) → promise ; what it throws is said beside the field, which stays
 * @param left told when the field has gone
 */
export function renamed(place, name, store, left) {
  if (place.querySelector("input")) return;
  const before = [...place.childNodes];
  const input = Object.assign(document.createElement("input"), {
    className: "input is-name",
    value: name,
    maxLength: NAME,
  });
  input.setAttribute("aria-label", `New name of ${name}`);
  let done = false;
  const leave = () => {
    done = true;
    if (input.isConnected) place.replaceChildren(...before);
    left();
  };
  const keep = async () => {
    if (done) return;
    if (input.value.trim() === name || input.value.trim() === "") return leave();
    done = true;
    try {
      const next = input.value;
      place.replaceChildren(...before);
      await store(next);
      left();
    } catch (error) {
      done = false;
      place.replaceChildren(input);
      input.setCustomValidity(error.message);
      input.reportValidity();
      input.focus();
      input.addEventListener("input", () => input.setCustomValidity(""), { once: true });
    }
  };
  input.addEventListener("keydown", (event) => {
    event.stopPropagation();
    if (event.key === "Enter") keep();
    if (event.key === "Escape") leave();
  });
  input.addEventListener("blur", keep);
  place.replaceChildren(input);
  input.select();
}

/** The same for an effect that hangs on rails; the keys go back to it. */
export function renamedOn(rails, effect, take) {
  const name = rails.pieces.get(effect?.id)?.querySelector(".piece-name");
  if (name) renamed(name, effect.name, take, () => rails.focus(effect.id));
}

// Saves a collection as it is changed.
import { send } from "../web/http.js";
import { values } from "../web/page.js";

const form = document.querySelector("[data-autosave]");
const saved = document.querySelector("[data-saved]");
const fault = form.querySelector(".fault");
const pack = document.querySelector("[data-pack]");
const undo = document.querySelector("[data-undo-button]");

form.addEventListener("submit", (event) => event.preventDefault());
form.addEventListener("change", async () => {
  saved.textContent = "Saving";
  pack.disabled = true;
  try {
    await send("PUT", form.dataset.address, values(form));
    saved.textContent = "Saved";
    fault.hidden = true;
    pack.disabled = false;
    undo.disabled = false;
  } catch (error) {
    saved.textContent = "Not saved";
    fault.textContent = error.message;
    fault.hidden = false;
  }
});

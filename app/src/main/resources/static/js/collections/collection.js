// Saves a collection as it is changed: in order, each change on the state that was stored last.
import { gesture } from "../web/gesture.js";
import { send } from "../web/http.js";
import { watch } from "../web/leaving.js";
import { values } from "../web/page.js";
import { savedLine } from "../web/saved-line.js";
import { Store } from "../web/store.js";

const form = document.querySelector("[data-autosave]");
const fault = form.querySelector(".fault");
const pack = document.querySelector("[data-pack]");
const state = JSON.parse(form.dataset.state);
let typed = {};

const line = savedLine(show, () => store.retry());
const store = new Store(
  state,
  "collection",
  {
    put: (...save) => send("PUT", form.dataset.address, ...save),
    get: () => send("GET", form.dataset.address),
    gesture,
  },
  {
    ...line,
    saved() {
      line.saved();
      pack.disabled = false;
    },
    fault(error, again, waits) {
      if (waits || error.stale) return line.fault(error, again, waits);
      document.querySelector("[data-saved]").textContent = "Not saved";
      fault.textContent = error.message;
      fault.hidden = false;
      form.elements[typed.name].value = typed.value; // what was refused stays to be mended
    },
  },
);
watch(store);

/** Shows what is stored, but for the field that is being typed in. */
function show() {
  for (const field of form.elements) {
    if (!field.name || field === document.activeElement) continue;
    if ("list" in field.dataset) field.checked = store.doc[field.name].includes(Number(field.value));
    else field.value = store.doc[field.name];
  }
}

form.addEventListener("submit", (event) => event.preventDefault());
form.addEventListener("change", ({ target }) => {
  fault.hidden = true;
  pack.disabled = true;
  typed = { name: target.name, value: target.value };
  const { [target.name]: value } = values(form);
  store.change((c) => ({ ...c, [target.name]: value }), `${target.name} of ${store.doc.name}`);
});

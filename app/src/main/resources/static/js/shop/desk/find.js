// Effects of all collections at the desk: found as the form says, marked by their stars.
import { listenFavours } from "../../base/web/favour.js";

const form = document.querySelector("[data-desk-find]");
form.elements.favourites.addEventListener("change", () => form.requestSubmit());
listenFavours();

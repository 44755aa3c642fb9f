// Effects of all collections at the desk: found as the form says, marked by their stars.
import { favour } from "../web/favour.js";

const form = document.querySelector("[data-desk-find]");
form.elements.favourites.addEventListener("change", () => form.requestSubmit());
for (const star of document.querySelectorAll("[data-favour]")) star.addEventListener("click", () => favour(star));

// A star that marks a favourite, at an address that takes “is”.
import { send } from "./http.js";
import { sayFault } from "./say.js";

/** Marks, or takes the mark off; a fault puts the star back. */
export async function favour(star) {
  const is = star.getAttribute("aria-pressed") !== "true";
  star.setAttribute("aria-pressed", String(is));
  try {
    await send("PUT", `${star.dataset.favour}is=${is}`);
  } catch (error) {
    star.setAttribute("aria-pressed", String(!is));
    sayFault(error);
  }
}

/** Listens to all stars of a part of the page. */
export function listenFavours(root = document) {
  for (const star of root.querySelectorAll("[data-favour]")) star.addEventListener("click", () => favour(star));
}

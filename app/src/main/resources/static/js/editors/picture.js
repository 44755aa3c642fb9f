// A setting that is a picture of the maker's own: chosen from her files, shown small.
import { upload } from "../web/http.js";
import { say, sayFault } from "../web/say.js";

/**
 * @param setting { key, label }
 * @param value SHA-256 of the picture's file, or empty
 * @param on { change(value) }
 * @returns { element, set(value) }
 */
export function picture(setting, value, on) {
  const element = document.createElement("div");
  element.className = "setting is-picture";
  element.dataset.key = setting.key;
  const small = document.createElement("img");
  small.alt = "";
  const choose = document.createElement("label");
  choose.className = "button small";
  const words = document.createElement("span");
  const file = Object.assign(document.createElement("input"), { type: "file", accept: "image/jpeg,image/png" });
  file.className = "sr-only";
  file.setAttribute("aria-label", setting.label);
  choose.append(words, file);
  const away = document.createElement("button");
  away.type = "button";
  away.className = "button quiet small";
  away.textContent = "Take away";
  away.addEventListener("click", () => on.change(""));
  element.append(small, choose, away);

  file.addEventListener("change", async () => {
    const chosen = file.files[0];
    file.value = "";
    if (!chosen) return;
    choose.classList.add("is-busy");
    try {
      const { sha } = await upload("/api/pictures", chosen, () => {});
      on.change(sha);
      say(`“${chosen.name}” lies over the photo. It goes into the release with the effect.`);
    } catch (fault) {
      sayFault(fault);
    }
    choose.classList.remove("is-busy");
  });

  function set(sha) {
    words.textContent = sha ? "Another …" : "Choose a picture …";
    away.hidden = small.hidden = !sha;
    if (sha && !small.src.includes(sha)) small.src = `/pictures/${sha}/small`;
    element.classList.toggle("is-moved", sha !== "");
  }
  set(value);
  return { element, set };
}

// A setting that is a picture of the maker's own, to be seen or as a colour table: chosen from her
// files, shown small.
import { upload } from "../web/http.js";
import { say, sayFault } from "../web/say.js";

const WORDS = {
  SEEN: { choose: "Choose a picture …", taken: "lies over the photo" },
  COLOUR_TABLE: { choose: "Choose a table …", taken: "colours the photo" },
};

/**
 * @param setting { key, label, use, accepts }
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
  const file = Object.assign(document.createElement("input"), { type: "file", accept: setting.accepts });
  const { choose: choosing, taken } = WORDS[setting.use];
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
      const { sha } = await upload(`/api/pictures?use=${setting.use}`, chosen, () => {});
      on.change(sha);
      say(`“${chosen.name}” ${taken}. It goes into the release with the effect.`);
    } catch (fault) {
      sayFault(fault);
    }
    choose.classList.remove("is-busy");
  });

  function set(sha) {
    words.textContent = sha ? "Another …" : choosing;
    away.hidden = small.hidden = !sha;
    if (sha && !small.src.includes(sha)) small.src = `/pictures/${sha}/small`;
    element.classList.toggle("is-moved", sha !== "");
  }
  set(value);
  return { element, set };
}

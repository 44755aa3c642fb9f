// From which folder photos of a batch are taken, and how and where its results go; kept as they were set.
import { send } from "../../base/web/http.js";
import { sayFault } from "../../base/web/say.js";

const KEPT = "nine-veils-batch-results";
const FIELDS = ["to", "folder", "format"];

/**
 * @param find (name) → element of the dialog
 * @param changed () when the number of photos may be another
 * @returns { open(), photos(): how many lie in the folder that is named, wanted(): for the request }
 */
export function batchResults(find, changed) {
  let folders = new Map();
  const value = (name) => find(name).value.trim();

  function show() {
    const into = value("to") === "folder";
    find("into").hidden = !into;
    find("watch").disabled = !into || value("from") === "" || value("folder") === "";
    changed();
  }

  const kept = JSON.parse(localStorage.getItem(KEPT) ?? "{}");
  for (const name of FIELDS) {
    if (kept[name] !== undefined) find(name).value = kept[name];
  }
  for (const name of [...FIELDS, "from"]) {
    find(name).addEventListener("input", () => {
      localStorage.setItem(KEPT, JSON.stringify(Object.fromEntries(FIELDS.map((f) => [f, find(f).value]))));
      show();
    });
  }

  async function open() {
    show();
    try {
      const all = (await send("GET", "/api/folders")).folders;
      folders = new Map(all.map((f) => [f.name, f.photos]));
      find("folders").replaceChildren(...all.map((f) => new Option(`${f.photos} photos`, f.name)));
      show();
    } catch (error) {
      sayFault(error);
    }
  }

  return {
    open,
    photos: () => folders.get(value("from")) ?? 0,
    wanted: () => ({
      from: value("from"),
      to: value("to") === "folder" ? value("folder") : "",
      format: value("format"),
    }),
  };
}

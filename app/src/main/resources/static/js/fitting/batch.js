// Applies what is worn to more photos: those of the test wall that are ticked, and files or a folder
// of the maker's own. The application goes on with it when the page is left.
import { send, upload } from "../web/http.js";
import { sayFault } from "../web/say.js";

const LOOK_EVERY_MS = 700;
const PICTURE = /\.(jpe?g|png|tiff?)$/i;

/**
 * @param dialog element
 * @param api address of the fitting
 * @param settled() promise: when all is stored
 * @returns open()
 */
export function batch(dialog, api, settled) {
  const find = (name) => dialog.querySelector(`[data-batch-${name}]`);
  const form = dialog.querySelector("form");
  let files = [];
  let uploading = false;
  let timer;

  const chosen = () => [...dialog.querySelectorAll("[data-batch-photo]:checked")].map((b) => Number(b.value));

  function count() {
    const n = chosen().length + files.length;
    find("start").disabled = n === 0;
    find("start").textContent = n === 0 ? "Apply" : `Apply to ${n} ${n === 1 ? "photo" : "photos"}`;
    find("files-chosen").textContent = files.length === 0 ? "" : `${files.length} ${files.length === 1 ? "file" : "files"} chosen`;
  }

  for (const input of dialog.querySelectorAll("input[type=file]")) {
    input.addEventListener("change", () => {
      files = [...input.files].filter((f) => PICTURE.test(f.name));
      count();
    });
  }
  form.addEventListener("change", count);
  find("all").addEventListener("click", () => {
    const boxes = [...dialog.querySelectorAll("[data-batch-photo]")];
    const on = boxes.some((b) => !b.checked);
    for (const box of boxes) box.checked = on;
    count();
  });

  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    try {
      await settled();
      show((await send("POST", `${api}/batch`, { photos: chosen() })).progress);
      uploading = true;
      for (const file of files) {
        if (!uploading) break;
        show((await upload(`${api}/batch/files`, file, () => {})).progress);
      }
    } catch (error) {
      sayFault(error);
    }
    uploading = false;
    look();
  });
  find("stop").addEventListener("click", async () => {
    uploading = false;
    try {
      show((await send("DELETE", `${api}/batch`)).progress);
    } catch (error) {
      sayFault(error);
    }
  });
  dialog.querySelector("[data-batch-again]").addEventListener("click", () => show(null));

  async function look() {
    clearTimeout(timer);
    try {
      const { progress } = await send("GET", `${api}/batch`);
      show(progress);
      if (progress?.running || uploading) timer = setTimeout(look, LOOK_EVERY_MS);
    } catch (error) {
      sayFault(error);
    }
  }

  function show(progress) {
    find("choosing").hidden = Boolean(progress);
    find("running").hidden = !progress;
    if (!progress) return count();
    const { done, total, running, stopped, secondsLeft, faults } = progress;
    const all = total + (uploading ? Math.max(0, files.length + chosen().length - total) : 0);
    find("bar").max = all;
    find("bar").value = done;
    const left = running && secondsLeft > 0 ? ` · about ${secondsLeft} s left` : "";
    const made = done - faults.length;
    const active = running || uploading;
    find("words").textContent = active ? `${done} of ${all} done${left}` : `${made} ${made === 1 ? "photo is" : "photos are"} ready${stopped ? "; stopped" : ""}.`;
    find("stop").hidden = !active;
    find("again").hidden = active;
    find("results").hidden = active || made === 0;
    find("faults").replaceChildren(...faults.map((f) => Object.assign(document.createElement("li"), { textContent: f })));
  }

  return () => {
    dialog.showModal();
    count();
    look();
  };
}

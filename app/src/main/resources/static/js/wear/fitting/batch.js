// Applies what is worn to more photos: those of the test wall that are ticked, and files or a folder
// of the maker's own. It is a job: the application goes on with it when the page is left.
import { send, upload } from "../../base/web/http.js";
import { begun, timeLeft } from "../../base/web/jobs.js";
import { resultWishes } from "../../base/web/wishes.js";
import { leaveTo } from "../../base/web/leaving.js";
import { say, sayFault } from "../../base/web/say.js";
import { batchResults } from "./batch-results.js";
import { PHOTO_NAME } from "../../base/web/rules.js";

const LOOK_EVERY_MS = 700;

/**
 * @param dialog element
 * @param api address of the fitting
 * @param photos gives [[id, name] …] of the photos that can be ticked
 * @param settled() promise: when all is stored
 * @returns open()
 */
export function batch(dialog, api, photos, settled) {
  const find = (name) => dialog.querySelector(`[data-batch-${name}]`);
  const form = dialog.querySelector("form");
  const wishes = resultWishes(find("wishes"));
  let files = [];
  let taking = null; // { done, total } while files are taken in
  let timer;

  const results = batchResults(find, count);
  const boxes = () => [...dialog.querySelectorAll("[data-batch-photo]")];
  const chosen = () =>
    boxes()
      .filter((b) => b.checked)
      .map((b) => Number(b.value));

  function count() {
    const n = chosen().length + files.length + results.photos();
    find("start").disabled = n === 0;
    find("start").textContent = n === 0 ? "Apply" : `Apply to ${n} ${n === 1 ? "photo" : "photos"}`;
    find("files-chosen").textContent =
      files.length === 0 ? "" : `${files.length} ${files.length === 1 ? "file" : "files"} chosen`;
  }

  function box([id, name]) {
    const label = Object.assign(document.createElement("label"), { title: name });
    const tick = Object.assign(document.createElement("input"), { type: "checkbox", value: id });
    tick.dataset.batchPhoto = "";
    tick.setAttribute("aria-label", name);
    label.append(
      tick,
      Object.assign(document.createElement("img"), { alt: "", loading: "lazy", src: `/photos/${id}/small` }),
    );
    return label;
  }

  for (const input of dialog.querySelectorAll("input[type=file]")) {
    input.addEventListener("change", () => {
      files = [...input.files].filter((f) => PHOTO_NAME.test(f.name));
      count();
    });
  }
  form.addEventListener("change", count);
  find("all").addEventListener("click", () => {
    const on = boxes().some((b) => !b.checked);
    for (const one of boxes()) one.checked = on;
    count();
  });

  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    try {
      await settled();
      taking = { done: 0, total: files.length };
      const taken = [];
      for (const file of files) {
        if (!taking) return show(null);
        show({ open: true, state: "taking", done: taking.done, total: taking.total, faults: [] });
        taken.push({ token: (await upload(`${api}/batch/files`, file, () => {})).token, name: file.name });
        if (taking) taking.done += 1;
      }
      if (!taking) return show(null);
      taking = null;
      show(
        (await send("POST", `${api}/batch`, { photos: chosen(), files: taken, ...results.wanted(), ...wishes() }))
          .progress,
      );
      begun();
    } catch (error) {
      taking = null;
      return refused(error);
    }
    look();
  });
  find("watch").addEventListener("click", async () => {
    try {
      await settled();
      const { said } = await send("POST", `${api}/batch/watch`, { photos: [], ...results.wanted(), ...wishes() });
      dialog.close();
      say(said, { label: "See it", action: () => leaveTo("/folders") });
    } catch (error) {
      refused(error);
    }
  });

  function refused(error) {
    show(null);
    find("fault").textContent = error.message;
    find("fault").hidden = false;
  }

  find("stop").addEventListener("click", async () => {
    if (taking) {
      taking = null;
      return;
    }
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
      if (progress?.open) timer = setTimeout(look, LOOK_EVERY_MS);
    } catch (error) {
      sayFault(error);
    }
  }

  function words({ open, state, done, total, secondsLeft, said, word }) {
    if (state === "taking") return `Taking in file ${done + 1} of ${total}`;
    if (state === "waiting") return "Waits until what runs is done";
    if (open) return `${done} of ${total} done${timeLeft(secondsLeft)}`;
    return state === "done" ? said : `${said} ${word[0].toUpperCase()}${word.slice(1)}.`.trim();
  }

  function show(job) {
    find("choosing").hidden = Boolean(job);
    find("running").hidden = !job;
    if (!job) return count();
    find("bar").max = Math.max(1, job.total);
    find("bar").value = job.done;
    find("words").textContent = words(job);
    find("stop").hidden = !job.open;
    find("again").hidden = job.open;
    find("results").hidden = job.open || !job.result;
    find("results").href = `/jobs/${job.id}/result`;
    find("faults").replaceChildren(
      ...job.faults.map((f) => Object.assign(document.createElement("li"), { textContent: f })),
    );
  }

  return () => {
    find("photos").replaceChildren(...photos().map(box));
    dialog.showModal();
    find("fault").hidden = true;
    results.open();
    count();
    look();
  };
}

// Keeping safe: a backup is made as a job and fetched, and one is brought back after it was checked.
import { csrf, send } from "../../base/web/http.js";
import { fetchResult, follow, howFar } from "../../base/web/jobs.js";
import { reload } from "../../base/web/leaving.js";
import { question } from "../../base/web/question.js";
import { say, sayAfterReload, sayFault } from "../../base/web/say.js";

const page = document.querySelector("[data-safe]");
const find = (name) => page.querySelector(`[data-${name}]`);
const go = find("backup");
const stop = find("stop");
let job = null;

async function backup() {
  go.disabled = true;
  try {
    ({ job } = await send("POST", "/api/safe/backup", { photos: !find("without").checked }));
    stop.hidden = false;
    const ended = await follow(job, (now) => (find("going").textContent = now.open ? howFar(now) : ""));
    if (ended.result) fetchResult(ended);
    const said = [ended.said, ...ended.faults].filter(Boolean).join(" ");
    find("going").textContent = ended.state === "stopped" ? "Stopped; no file was made." : said;
  } catch (error) {
    sayFault(error);
  }
  stop.hidden = true;
  go.disabled = false;
}

async function bring(file) {
  const told = find("checking");
  told.textContent = "Checking";
  try {
    const answer = await fetch("/api/safe/restore", {
      method: "PUT",
      body: file,
      headers: { "X-CSRF-TOKEN": csrf(), "Content-Type": "application/octet-stream" },
    });
    const said = await answer.json();
    if (!answer.ok) throw new Error(said.sentence ?? "The backup was not taken.");
    told.textContent = said.words;
    const chosen = await question(
      `${said.words} At the next start it takes the place of what is here, which is set aside and not overwritten.`,
      ["Let it take the place"],
    );
    const then = await send(chosen === 0 ? "POST" : "DELETE", "/api/safe/restore");
    if (chosen === 0) {
      sayAfterReload(then.said);
      await reload();
    } else say(then.said);
  } catch (error) {
    told.textContent = "";
    sayFault(error);
  }
}

go.addEventListener("click", backup);
stop.addEventListener("click", () => send("POST", `/api/jobs/${job.id}/stop`).catch(sayFault));
find("restore")?.addEventListener("change", (event) => event.target.files.length > 0 && bring(event.target.files[0]));

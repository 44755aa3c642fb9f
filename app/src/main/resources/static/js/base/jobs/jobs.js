// The page of jobs: what runs, what waits, and what became of the rest.
import { send } from "../web/http.js";
import { begun, howFar } from "../web/jobs.js";
import { sayFault } from "../web/say.js";

const LOOK_AGAIN_MS = 1000;
const list = document.querySelector("[data-job-list]");
const empty = document.querySelector("[data-no-jobs]");

function element(name, fields = {}, ...children) {
  const made = Object.assign(document.createElement(name), fields);
  made.append(...children);
  return made;
}

function line(job) {
  const row = element("li", { className: "job" });
  row.dataset.job = job.id;
  row.dataset.state = job.state;
  const words = job.open ? howFar(job) : [job.word, job.said].filter(Boolean).join(" · ");
  const made = new Date(job.madeAt);
  const day =
    made.toDateString() === new Date().toDateString()
      ? ""
      : `${made.toLocaleDateString("en-GB", { day: "numeric", month: "short" })}, `;
  const time = element("time", {
    dateTime: job.madeAt,
    className: "text-muted",
    textContent: day + made.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" }),
  });
  row.append(
    time,
    element("b", { textContent: job.title }),
    element("span", { className: "text-muted", textContent: words }),
  );
  const ends = element("span", { className: "job-ends" });
  if (job.open) {
    const stop = element("button", { type: "button", className: "button small", textContent: "Stop" });
    stop.setAttribute("aria-label", `Stop ${job.title}`);
    stop.addEventListener("click", () => send("POST", `/api/jobs/${job.id}/stop`).then(look, sayFault));
    ends.append(stop);
  }
  if (job.result)
    ends.append(
      element("a", {
        href: `/jobs/${job.id}/result`,
        className: "button small",
        textContent: "Save the result",
        download: "",
      }),
    );
  row.append(ends);
  if (job.state === "running") row.append(element("progress", { max: Math.max(1, job.total), value: job.done }));
  if (job.faults.length > 0)
    row.append(
      element("ul", { className: "fault" }, ...job.faults.slice(0, 20).map((f) => element("li", { textContent: f }))),
    );
  return row;
}

let shown = "";
async function look() {
  try {
    const { jobs } = await send("GET", "/api/jobs?all=true");
    const now = JSON.stringify(jobs);
    if (now !== shown) list.replaceChildren(...jobs.map(line));
    shown = now;
    empty.hidden = jobs.length > 0;
    if (jobs.some((job) => job.open)) setTimeout(look, LOOK_AGAIN_MS);
  } catch (error) {
    sayFault(error);
  }
}

/** What could be tidied away, and the button for it. */
async function lookAtTheDisk() {
  const box = document.querySelector("[data-tidy]");
  try {
    const { files, words } = await send("GET", "/api/tidy");
    box.querySelector("[data-tidy-words]").textContent =
      files === 0
        ? "Nothing lies in the data folder that nobody needs."
        : `${words.join(" · ")}. Nothing of it is named by a photo, an effect, a release or a step of undo.`;
    box.querySelector("button").hidden = files === 0;
    box.hidden = false;
  } catch (error) {
    sayFault(error);
  }
}

begun();
look();
lookAtTheDisk();

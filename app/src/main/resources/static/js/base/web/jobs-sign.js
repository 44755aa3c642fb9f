// The small sign in the header: what runs now, on every page.
import { element } from "./element.js";
import { howFar } from "./jobs.js";

const LOOK_AGAIN_MS = 1500;

export function showJobs(sign) {
  let timer = 0;
  async function look() {
    clearTimeout(timer);
    try {
      const answer = await fetch("/api/jobs");
      if (!answer.ok) return;
      const { jobs } = await answer.json();
      sign.hidden = jobs.length === 0;
      if (jobs.length === 0) return;
      const { title } = jobs[0];
      const words = jobs.length === 1 ? " job runs" : " jobs run";
      sign.replaceChildren(String(jobs.length), element("span", { textContent: words }));
      sign.setAttribute("aria-label", jobs.length + words);
      sign.title = `${title}: ${howFar(jobs[0])}`;
      timer = setTimeout(look, LOOK_AGAIN_MS);
    } catch {
      sign.hidden = true; // the page itself says that the application does not answer
    }
  }
  document.addEventListener("job-begun", look);
  look();
}

// The maker's mark and key: set, kept elsewhere under a pass phrase, taken from a file.
import { csrf, send } from "../../base/web/http.js";
import { say, sayFault } from "../../base/web/say.js";

function asking(form, done) {
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    const fault = form.querySelector(".fault");
    fault.hidden = true;
    try {
      await done(form);
      form.closest("dialog").close();
      form.reset();
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
    }
  });
}

async function answered(response) {
  if (response.ok) return response;
  const { sentence } = await response.json().catch(() => ({}));
  throw new Error(sentence ?? "This was not taken.");
}

async function exported(form) {
  const headers = { "Content-Type": "application/json", "X-CSRF-TOKEN": csrf() };
  const body = JSON.stringify({ phrase: form.elements.phrase.value });
  const file = await answered(await fetch("/api/makers-key/export", { method: "POST", headers, body })).then((r) =>
    r.blob(),
  );
  const link = Object.assign(document.createElement("a"), {
    href: URL.createObjectURL(file),
    download: "makers-key.json",
  });
  link.click();
  URL.revokeObjectURL(link.href);
}

async function taken(form) {
  const answer = await answered(
    await fetch("/api/makers-key", { method: "POST", headers: { "X-CSRF-TOKEN": csrf() }, body: new FormData(form) }),
  );
  const { said } = await answer.json();
  document.querySelector("[data-key]").textContent = said;
  say(said);
}

export function listenMaker() {
  const mark = document.querySelector("[data-mark]");
  mark.addEventListener("change", () =>
    send("PUT", "/api/makers-mark", { mark: mark.value }).then(() => say("Set."), sayFault),
  );
  asking(document.querySelector("[data-export-key]"), exported);
  asking(document.querySelector("[data-take-key]"), taken);
}

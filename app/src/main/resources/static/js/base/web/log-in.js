// Logs in again in place, so that what was being edited is still there afterwards.
let asking = null;

/** Asks for the password. @returns promise of whether one is logged in now */
export function logIn() {
  asking ??= ask().finally(() => (asking = null));
  return asking;
}

function ask() {
  const dialog = document.createElement("dialog");
  dialog.className = "dialog";
  dialog.dataset.logIn = "";
  dialog.innerHTML = `<form>
    <h2>Log in again</h2>
    <p>The log-in has run out. Your change is kept here and is saved as soon as you are in.</p>
    <label class="field">Password<input class="input" type="password" name="password" autocomplete="current-password" required /></label>
    <p class="fault" role="alert" hidden></p>
    <div class="ends"><button class="button" type="button" value="">Not now</button><button class="button primary">Log in</button></div>
  </form>`;
  document.body.append(dialog);
  dialog.showModal();
  const form = dialog.querySelector("form");
  const fault = dialog.querySelector(".fault");
  return new Promise((resolve) => {
    dialog.addEventListener("close", () => {
      dialog.remove();
      resolve(dialog.returnValue === "in");
    });
    dialog.querySelector("button[type=button]").addEventListener("click", () => dialog.close());
    form.addEventListener("submit", async (event) => {
      event.preventDefault();
      const refused = await tried(form.elements.password.value);
      fault.textContent = refused;
      fault.hidden = refused === "";
      if (refused === "") dialog.close("in");
    });
  });
}

/** @returns a sentence where it was refused, or nothing */
async function tried(password) {
  try {
    const page = await fetch("/log-in");
    const token = new DOMParser().parseFromString(await page.text(), "text/html").querySelector("[name=_csrf]").value;
    const answer = await fetch("/log-in", {
      method: "POST",
      body: new URLSearchParams({ username: "maker", password, _csrf: token }),
    });
    if (new URL(answer.url).pathname !== "/log-in") return "";
    const said = new DOMParser().parseFromString(await answer.text(), "text/html").querySelector(".fault");
    return said?.textContent ?? "This is not the password."; // or it was not looked at yet
  } catch {
    return "The application does not answer.";
  }
}

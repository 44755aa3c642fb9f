// Takes photos (or a release file) in by button or by dropping, several at once, with progress.
import { send, upload } from "../../base/web/http.js";
import { leaveTo, reload } from "../../base/web/leaving.js";
import { sayAfterReload, sayFault } from "../../base/web/say.js";
import { takeBack } from "../../base/web/take-back.js";
import { keepTyped, typeAgain } from "../../base/web/typed.js";

const ADDRESSES = { wall: "/api/photos/wall", desk: "/api/photos/desk", release: "/api/desk" };

function line(list, file) {
  const item = document.createElement("li");
  const name = document.createElement("span");
  name.textContent = file.name;
  const bar = document.createElement("progress");
  bar.max = 1;
  bar.value = 0;
  item.append(name, bar);
  list.append(item);
  return {
    share: (share) => (bar.value = share),
    fault: (sentence) => {
      const words = document.createElement("span");
      words.className = "fault";
      words.setAttribute("role", "alert");
      words.textContent = sentence;
      bar.replaceWith(words);
    },
    done: () => (bar.value = 1),
  };
}

async function take(drop, files) {
  const list = drop.parentElement.querySelector("[data-uploads]");
  const address = ADDRESSES[drop.dataset.drop];
  list.replaceChildren();
  let taken = 0;
  let go = null;
  for (const [file, shown] of [...files].map((f) => [f, line(list, f)])) {
    try {
      const answer = await takeBack((q) => upload(q ? `${address}?${q}` : address, file, shown.share), {});
      if (!answer) {
        shown.fault("Left out; nothing of it was taken in.");
        continue;
      }
      shown.done();
      go = answer.go ?? go;
      taken += 1;
    } catch (error) {
      shown.fault(error.message);
    }
  }
  const refused = files.length - taken;
  if (go) leaveTo(go);
  else if (taken > 0 && refused === 0) {
    sayAfterReload(taken === 1 ? "One photo was added." : `${taken} photos were added.`);
    showAdded();
  } else if (taken > 0) offerReload(list, taken);
}

function showAdded() {
  keepTyped();
  reload();
}

/** Some were refused: their sentences stay until the user has read them. */
function offerReload(list, taken) {
  const item = document.createElement("li");
  const button = document.createElement("button");
  button.className = "button primary";
  button.type = "button";
  button.textContent = taken === 1 ? "Show the one that was added" : `Show the ${taken} that were added`;
  button.addEventListener("click", showAdded);
  item.append(button);
  list.append(item);
}

typeAgain();
for (const drop of document.querySelectorAll("[data-drop]")) {
  const input = drop.querySelector("input[type=file]");
  input.addEventListener("change", () => take(drop, input.files));
  for (const kind of ["dragenter", "dragover"]) {
    drop.addEventListener(kind, (event) => {
      event.preventDefault();
      drop.classList.add("is-over");
    });
  }
  drop.addEventListener("dragleave", () => drop.classList.remove("is-over"));
  drop.addEventListener("drop", (event) => {
    event.preventDefault();
    drop.classList.remove("is-over");
    take(drop, event.dataTransfer.files);
  });
}

// Of whichever photo: pages hang theirs after this has run.
document.addEventListener("change", async ({ target: input }) => {
  if (!input.dataset?.rename) return;
  try {
    await send("PUT", input.dataset.rename, { name: input.value });
    input.defaultValue = input.value;
  } catch (error) {
    input.value = input.defaultValue;
    sayFault(error);
  }
});

// The page of all kits: kit files are opened, and kits are fetched as one file.
import { upload } from "../../base/web/http.js";
import { leaveTo } from "../../base/web/leaving.js";
import { say, sayAfterReload, sayFault } from "../../base/web/say.js";
import { takeBack } from "../../base/web/take-back.js";

const chooser = document.querySelector("[data-open-kits]");
const going = document.querySelector("[data-opening]");

async function open(file) {
  going.hidden = false;
  try {
    const answer = await takeBack(
      (query) =>
        upload(
          `/api/kits/open?${query}`,
          file,
          (share) => (going.textContent = `Opening, ${Math.round(share * 100)} %`),
        ),
      {},
    );
    if (answer) {
      sayAfterReload(answer.said);
      await leaveTo(answer.go);
    }
  } catch (error) {
    sayFault(error);
  }
  going.hidden = true;
  chooser.value = "";
}

chooser?.addEventListener("change", () => chooser.files.length > 0 && open(chooser.files[0]));

const ticks = [...document.querySelectorAll("[data-carry]")];
const fetching = document.querySelector("[data-fetch-kits]");
const chosen = () => ticks.filter((t) => t.checked).map((t) => t.value);

function told() {
  fetching.hidden = chosen().length === 0;
  fetching.textContent = chosen().length === 1 ? "Fetch as a kit file" : `Fetch ${chosen().length} kits as one file`;
}

for (const tick of ticks) tick.addEventListener("change", told);
fetching?.addEventListener("click", () => {
  location.assign(`/kits/file?kits=${chosen().join(",")}`);
  say("The file holds the kits with variants, tags, marks, swatches and placed pictures.");
});

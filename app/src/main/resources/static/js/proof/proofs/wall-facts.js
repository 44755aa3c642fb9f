// What the photos of the sheet are is worked out while it is open.
import { send } from "../../base/web/http.js";

const ASKED_MS = 60;

/** Tells a grid what each photo is, until all are known. */
export async function tellFacts(grid) {
  for (let whole = false; !whole;) {
    const answer = await send("GET", "/api/wall");
    grid.tell(answer.lines);
    whole = answer.whole;
    if (!whole) await new Promise((wait) => setTimeout(wait, ASKED_MS));
  }
}

// Photos that may be looked at next are made ready while the hand rests: the two beside the one that is
// shown.
import { send } from "../../base/web/http.js";

const RESTS_MS = 300;

let resting;

/**
 * @param all photos in the order of the strip
 * @param photo the one that is shown
 * @param longSide of the picture on the stage, pixels
 */
export function readyBeside(all, photo, longSide) {
  clearTimeout(resting);
  resting = setTimeout(() => {
    const at = all.indexOf(photo);
    const beside = new Set([all[(at + 1) % all.length], all.at(at - 1)]);
    beside.delete(photo);
    for (const { id } of beside) send("POST", `/api/photos/${id}/ready`, { longSide }).catch(() => {}); // it only comes later then
  }, RESTS_MS);
}

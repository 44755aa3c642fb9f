// What mends each thing that the health of a kit names.
import { send } from "../../base/web/http.js";
import { leaveTo } from "../../base/web/leaving.js";
import { sayFault } from "../../base/web/say.js";
import { updated } from "./older.js";

/** @param how { kit: id, open: dialogs, toBench(id), rename(id), act(path, body), effect(id), photo(): id } */
export function mends({ kit, open, toBench, rename, act, effect, photo }) {
  const bench = ([id]) => toBench(id);
  return {
    OVER: ([id]) => leaveTo(`/proofs/${kit}#cell=${id}:${effect(id).worstPhoto}`),
    NOTE: ([id]) => open.note(effect(id)),
    UNPLACED: ([id]) => open.meantFor(effect(id)),
    PROMISE: bench,
    PLANNED: bench,
    TWICE: ([id]) => rename(id),
    OLDER: (ids) => updated(ids.map(effect), { photo: photo(), act }),
    PROOF: () => send("POST", `/api/proofs/${kit}/start`).then(() => leaveTo(`/proofs/${kit}`), sayFault),
  };
}

/** Removes a swatch. @returns promise of the rack as it is then, with a sentence */
export async function removedSwatch({ id, name }, kit) {
  await send("DELETE", `/api/swatches/${id}`);
  return { ...(await send("GET", `/api/rack/${kit}`)), said: `The swatch “${name}” was removed.` };
}

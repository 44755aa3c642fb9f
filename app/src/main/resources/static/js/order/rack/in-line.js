// Acts on a kit stand in one line: each waits for the answer to the one before, so that two that follow
// each other quickly are answered in their order. Every answer is the whole rack.
import { send } from "../../base/web/http.js";
import { newName } from "../../base/web/names.js";
import { sayFault } from "../../base/web/say.js";
import { takeBack } from "../../base/web/take-back.js";

/** @param on { take(rack), draw(): shows again what there was } */
export function inLine(address, { take, draw }) {
  let waiting = Promise.resolve();

  function next(run) {
    const done = waiting.then(run, run);
    waiting = done.catch(() => {});
    return done;
  }

  /** Sends an act. What it threw is given on. */
  function act(path, body, undoes = false) {
    const name = newName();
    return next(async () => take({ ...(await send("POST", `${address}/${path}`, body, name)), undone: undoes }));
  }

  const lookAgain = () => send("GET", address).then(take, draw);

  return {
    act,
    lookAgain,
    /** The same for acts that nothing waits for: a refusal is said, and the rack drawn as it is stored. */
    acted: (path, body, undoes) =>
      act(path, body, undoes).catch((error) => {
        sayFault(error);
        return lookAgain();
      }),
    undo: (redo, edit) =>
      next(async () => {
        const answer = await takeBack((q) => send("POST", `${address}/undo?${q}`), { redo, ...(edit && { edit }) });
        if (answer) take(answer);
      }).catch(sayFault),
  };
}

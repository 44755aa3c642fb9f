// Asks the application to change the fitting by its rules, and tells what came of it.
import { send } from "../../base/web/http.js";
import { say } from "../../base/web/say.js";
import { takeBackIn } from "../../base/web/take-back.js";
import { askOpposites } from "./ask.js";
import { sayWorn } from "./together.js";

/**
 * @param state that the page was made with
 * @param store of the fitting
 * @param api its address
 * @param box element that shows questions
 * @param on { undone() }
 */
export function asking(state, store, api, box, on) {
  async function ask(path, body) {
    const answer = await store.ask((name, on, at) => send("POST", `${at}/${path}`, body, name));
    if (answer?.ask) {
      const chosen = await askOpposites(box, answer.ask);
      if (chosen) await ask(path, { ...body, answer: chosen });
    } else if (answer?.said) {
      const fresh = { label: "Wear it fresh", run: () => ask("fresh", { effect: answer.back }) };
      sayWorn(answer.said, state, answer, undo, answer.back ? [fresh] : []);
    }
  }

  async function undo(redo, edit) {
    const answer = await takeBackIn(store, send, `${api}/undo`, { redo, ...(edit && { edit }) });
    if (!answer) return;
    say(answer.said);
    on.undone();
  }

  return { ask, undo };
}

// The keys of the bench.
import { PICKS, stageKeys } from "../../photo/stage/keys.js";

/** @param b the parts of the bench and what it can do */
export const benchKeys = (b) => [
  { keys: PICKS, shown: ["1", "9"], says: "pick a veil", run: (e) => b.pick(e.key - 1) },
  { keys: ["h"], says: "hang a veil", run: () => b.chooser.open() },
  { keys: ["v"], says: "lift or let down the open or picked veils", run: () => b.selection.lift() || b.lift() },
  { keys: ["delete"], says: "drop the open or picked veils", run: () => b.selection.drop() || b.drop() },
  { keys: ["u"], says: "see the veils up to the open one", run: () => b.see("up-to") },
  { keys: ["o"], says: "see only the open veil", run: () => b.see("only") },
  { keys: ["x"], says: "see it with the mask off", run: () => b.see("bare") },
  { keys: ["w"], says: "hold to see it without the open veil", run: () => b.see("without"), up: b.seeAgain },
  { keys: ["t"], says: "trace a spot", run: () => b.trace.pick(b.column.readings()) },
  { keys: ["i"], says: "the open veil or the readings beside the photo", run: () => b.column.toggle() },
  { keys: ["e"], says: "the whole window for the photo, and back", run: () => b.around.toggleWhole() },
  {
    keys: ["escape"],
    says: "close the open veil",
    run: () => b.chooser.close() || b.around.leaveWhole() || b.column.leave() || b.selection.clear() || b.close(),
  },
  ...stageKeys(b.stage, b.painting.brush, {
    masked: () => b.openId() !== null || b.marked.has(null),
    neighbour: b.neighbour,
    undo: b.undo,
  }),
  { keys: [], shown: ["Ctrl", "click"], says: "pick several veils; Shift for a row of them" },
  { keys: [], shown: ["Shift", "←", "→"], says: "move the veil that has the focus" },
];

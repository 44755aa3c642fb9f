// The keys of a fitting.
import { PICKS, stageKeys } from "../../photo/stage/keys.js";

/** @param f the parts of the fitting and what it can do */
export const fittingKeys = (f) => [
  { keys: PICKS, shown: ["1", "9"], says: "pick an effect on the rail", run: (e) => f.pick(e.key - 1) },
  { keys: ["v"], says: "lift or let down the effect", run: f.lift },
  { keys: ["delete"], says: "take the effect off", run: f.takeOff },
  { keys: ["k"], says: "pin what is worn now", run: f.pin },
  { keys: ["j"], says: "the next photo, wearing what this one wears", run: f.next },
  { keys: ["h"], says: "wear what the photo before wears", run: f.before },
  { keys: ["t"], says: "trace a spot", run: f.trace },
  { keys: ["e"], says: "the whole window for the photo, and back", run: () => f.around.toggleWhole() },
  { keys: ["/"], says: "find an effect", run: f.search },
  { keys: ["escape"], says: "back from the whole window", run: () => f.around.leaveWhole() },
  ...stageKeys(f.stage, f.brush, f),
];

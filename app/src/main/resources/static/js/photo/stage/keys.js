// The keys that every workplace with a stage has.

export const PICKS = ["1", "2", "3", "4", "5", "6", "7", "8", "9"];

/**
 * @param stage the stage
 * @param brush its brush
 * @param on { masked(): whether there is a mask to show, neighbour(step), undo(redo) }
 */
export const stageKeys = (stage, brush, on) => [
  { keys: ["p"], says: "hold for the plain photo", run: () => stage.holdPlain(true), up: () => stage.holdPlain(false) },
  { keys: ["c"], says: "next compare view", run: () => stage.comparing.next() },
  { keys: ["z"], says: "1:1 at the pointer, and back", run: () => stage.toggleFull() },
  { keys: ["d"], says: "smaller brush", repeats: true, run: () => brush.larger(false) },
  { keys: ["f"], says: "larger brush", repeats: true, run: () => brush.larger(true) },
  { keys: ["s"], says: "softer brush", repeats: true, run: () => brush.softer(true) },
  { keys: ["g"], says: "harder brush", repeats: true, run: () => brush.softer(false) },
  { keys: ["r"], says: "reveal or hide", run: () => brush.toggleReveal() },
  { keys: ["q"], says: "hold to the colour that a stroke begins on, or not", run: () => brush.toggleHolding() },
  { keys: [], shown: ["Shift", "click"], says: "straight on from where the last stroke ended" },
  { keys: ["m"], says: "show the mask", run: () => on.masked() && stage.masked.toggle() },
  { keys: ["l"], says: "the mask hatched, grey or cut out", run: () => on.masked() && stage.masked.next() },
  { keys: ["n"], says: "next photo", run: () => on.neighbour(1) },
  { keys: ["b"], says: "photo before", run: () => on.neighbour(-1) },
  { keys: ["ctrl+z"], says: "undo", shown: ["Ctrl", "Z"], run: () => on.undo(false) },
  { keys: ["ctrl+shift+z"], says: "redo", shown: ["Ctrl", "Shift", "Z"], run: () => on.undo(true) },
];

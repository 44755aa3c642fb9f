// What each veil of each effect did at a spot of the photo that is worn.
import { Trace } from "../../photo/readings/trace.js";
import { veilChanged } from "./wearing.js";

/**
 * @param box element that shows it
 * @param stage where the spot is chosen
 * @param api address of the fitting
 * @param f { fitting(), pieces(): of what is worn, in order, peek(body, words), open(key) }
 */
export function tracing(box, stage, api, f) {
  const pieceOf = (step) => f.pieces()[step.bundle];

  function without(step) {
    const piece = pieceOf(step);
    const veil = piece.effect.veils.find((v) => [v.id, `${v.id}+`].includes(step.veil));
    return veilChanged(f.fitting(), piece.key, veil, { lifted: true });
  }

  return new Trace(
    box,
    stage,
    {
      get address() {
        return `${api}/trace`;
      },
      body: () => ({ fitting: f.fitting() }),
      named: (step) => pieceOf(step)?.name ?? "",
    },
    {
      flash: (step) => f.peek(step && { fitting: without(step) }, step && `Without “${step.name}”`),
      open: (step) => f.open(pieceOf(step).key),
    },
  );
}

// How fine a picture is asked for while the hand moves. The fine one follows when the hand rests.

const WANTED_MS = 60;
const COARSEST = 0.5;
const WORTH_IT = 0.9; // a picture hardly coarser would not be sooner

/**
 * @param pace milliseconds that the last picture at full fineness took; its pixels' number is what
 *   the time goes by
 * @returns share of the long side, 0.5…1
 */
export function coarseness(pace) {
  const share = Math.sqrt(WANTED_MS / Math.max(pace, WANTED_MS));
  return share > WORTH_IT ? 1 : Math.max(COARSEST, share);
}

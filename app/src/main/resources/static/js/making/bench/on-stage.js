// The stage of the bench, and the trace of a spot on it.
import { readyBeside } from "../../photo/photos/ready.js";
import { showTones } from "../../photo/readings/histogram.js";
import { showSpot } from "../../photo/readings/spot.js";
import { Trace } from "../../photo/readings/trace.js";
import { Stage } from "../../photo/stage/stage.js";
import { changed } from "./effect.js";

/**
 * @param held what the page holds
 * @param of { find, wall, marked, painting(), plain(tones), finished() }
 */
export function benchStage(root, held, { find, wall, marked, painting, plain, finished }) {
  /** What is asked of the application; nothing while a stroke is being stored. */
  const body = () => (painting()?.storing ? null : held.request);
  const stage = new Stage(
    root.querySelector("[data-stage]"),
    root.querySelector("[data-looks]"),
    {
      address: `${held.api}/render`,
      photo: () => wall.photo,
      body,
      maskBody: () => (painting().storing ? null : marked.body(held.request, held.openId, held.effect)),
    },
    {
      finished(shot) {
        showTones(find, shot.head);
        if (!painting().shown) stage.paintUnderHand(null);
        finished();
      },
      plain: (shot) => plain(shot.head),
      photo: () => readyBeside(wall.photos, wall.photo, stage.longSide),
      spot: (point) => showSpot(find("spot"), find("spot-figures"), point && stage.readAt(point.x, point.y)),
    },
  );
  return { stage, body };
}

/** @param base what is worn underneath */
export function benchTrace(box, stage, held, base) {
  return new Trace(
    box,
    stage,
    {
      address: `${held.api}/trace`,
      body: () => ({ ...held.views.onPhoto(), effect: held.effect }),
      named: ({ bundle }) => (bundle === 0 ? base().name : ""),
    },
    {
      flash: (step) =>
        held.peek(step && changed(held.effect, step.veil, { lifted: true }), step && `Without “${step.name}”`),
      open: (step) => held.veilOf(step.veil) && held.open(step.veil),
    },
  );
}

// The stage of a fitting.
import { readyBeside } from "../../photo/photos/ready.js";
import { Stage } from "../../photo/stage/stage.js";
import { offeredOn } from "./on-page.js";

/**
 * @param held what the page holds
 * @param of { photos, painting(), pins(), finished() }
 */
export function fittingStage(root, held, { photos, painting, pins, finished }) {
  const address = () => `${held.api}/render`;
  /** What is asked of the application; nothing while a stroke is being stored. */
  const body = () => (painting()?.storing ? null : held.request);
  const stage = new Stage(
    root.querySelector("[data-stage]"),
    root.querySelector("[data-looks]"),
    {
      get address() {
        return address();
      },
      photo: () => photos.photo,
      body,
      maskBody() {
        const { brushed, fitting } = held;
        const asked = brushed && body();
        return asked ? { ...asked, fitting, mask: brushed.id, maskOn: held.openKey } : null;
      },
      pins: () => pins()?.compared(body()) ?? [],
    },
    {
      finished() {
        if (!painting().stroke) stage.paintUnderHand(null);
        finished();
      },
      photo() {
        offeredOn(photos.photo);
        readyBeside(photos.all, photos.photo, stage.longSide);
      },
    },
  );
  return { stage, address, body };
}

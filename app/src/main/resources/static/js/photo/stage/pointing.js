// Zooming by the wheel and moving by dragging, on any pane of the stage.
import { scaleOf } from "./view.js";

const WHEEL_STEP = 1.15;

/** Lets the wheel zoom at the pointer. */
export function listenWheel(stage, pane) {
  const zoom = (event) => {
    event.preventDefault();
    const now = scaleOf(stage.view, pane.size, stage.source.photo());
    stage.zoomTo(pane, now * WHEEL_STEP ** -Math.sign(event.deltaY), { x: event.offsetX, y: event.offsetY });
  };
  pane.element.addEventListener("wheel", zoom, { passive: false });
}

/** Lets dragging move the photo. */
export function listenDrag(stage, pane) {
  pane.element.addEventListener("pointermove", (event) => {
    if (event.buttons === 1) stage.panBy(event.movementX, event.movementY, pane);
  });
}

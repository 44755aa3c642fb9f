// What the stage hears: the pointer over its panes, and that they have another size.
import { listenWheel } from "./pointing.js";

const RESIZE_SETTLES_MS = 80;

/** @param redrawn told that the panes have another size */
export function listenStage(stage, redrawn) {
  listenWheel(stage, stage.finished);
  listenWheel(stage, stage.plain);
  stage.pane.addEventListener("pointermove", (event) => {
    if (event.target.closest(".wiper, .handles *")) return;
    stage.lastPoint = { x: event.offsetX, y: event.offsetY };
    stage.on.spot?.(stage.lastPoint);
  });
  stage.pane.addEventListener("pointerleave", () => stage.on.spot?.(null));
  let settling;
  new ResizeObserver(() => {
    redrawn();
    clearTimeout(settling);
    settling = setTimeout(() => stage.refresh(), RESIZE_SETTLES_MS);
  }).observe(stage.pane);
}

// One view of a photo on the stage: a canvas in its element, and the shot that it shows.
import { placed, wanted } from "./view.js";

export class Pane {
  shot = null;

  constructor(element) {
    this.element = element;
    this.canvas = element.querySelector("[data-picture]");
  }

  get size() {
    return { width: this.element.clientWidth, height: this.element.clientHeight };
  }

  /** Not laid out: there is nothing to ask for. */
  get isHidden() {
    return this.element.clientWidth === 0;
  }

  /** What to ask for at a view: long side and area. */
  wanted(view, photo) {
    return wanted(view, this.size, photo, devicePixelRatio);
  }

  /** Where the whole photo lies, device pixels. */
  placed(view, photo) {
    const at = placed(view, this.size, photo);
    const d = devicePixelRatio;
    return { x: at.x * d, y: at.y * d, width: at.width * d, height: at.height * d };
  }

  /** Draws a shot, or nothing where it is of another photo; under the second one up to a share of the width. */
  draw(view, photo, shot = this.shot, left = null, share = 0) {
    const context = fresh(this.canvas);
    const at = this.placed(view, photo);
    if (shot?.photo === photo) shot.draw(context, at);
    if (left?.photo !== photo) return;
    context.save();
    context.beginPath();
    context.rect(0, 0, this.canvas.width * share, this.canvas.height);
    context.clip();
    context.clearRect(0, 0, this.canvas.width, this.canvas.height);
    left.draw(context, at);
    context.restore();
  }
}

/** A canvas of the size of its element in device pixels, emptied. */
export function fresh(canvas) {
  const width = Math.round(canvas.clientWidth * devicePixelRatio);
  const height = Math.round(canvas.clientHeight * devicePixelRatio);
  const context = canvas.getContext("2d");
  if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
  else context.clearRect(0, 0, width, height);
  return context;
}

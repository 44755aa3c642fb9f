// Points and lengths in shares of a photo's long side, which is how they are stored.
import { placed, scaleOf, toPhoto } from "./view.js";

const long = ({ width, height }) => Math.max(width, height);

/** Point of the photo under a point of the pane. */
export function shareUnder(view, size, photo, x, y) {
  const p = toPhoto(view, size, photo, x, y);
  return { x: p.x / long(photo), y: p.y / long(photo) };
}

/** Point of the pane, CSS pixels, over a point of the photo. */
export function pointOver(view, size, photo, share) {
  const at = placed(view, size, photo);
  return { x: at.x + share.x * long(at), y: at.y + share.y * long(at) };
}

/** CSS pixels of a length. */
export const lengthOf = (view, size, photo, share) => share * long(photo) * scaleOf(view, size, photo);

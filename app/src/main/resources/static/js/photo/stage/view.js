// Geometry of looking at a photo in a pane. Pure: sizes in, sizes out.
//
// A view is { fit: true } or { fit: false, scale, cx, cy }: CSS pixels per photo pixel, and the
// point of the photo, as shares of its width and height, that lies in the middle of the pane.

export const MARGIN = 10;
export const MAX_SCALE = 4;

const clamp = (v, low, high) => Math.min(high, Math.max(low, v));

/** CSS pixels per photo pixel at which the whole photo fits. */
export function fitScale(pane, photo) {
  const w = Math.max(1, pane.width - 2 * MARGIN);
  const h = Math.max(1, pane.height - 2 * MARGIN);
  return Math.min(w / photo.width, h / photo.height);
}

export const scaleOf = (view, pane, photo) => (view.fit ? fitScale(pane, photo) : view.scale);

/** Whether one pixel of the photo takes one of the screen. */
export const isFull = (view) => !view.fit && Math.abs(view.scale * globalThis.devicePixelRatio - 1) < 0.01;

/** Where the whole photo lies in the pane, CSS pixels; may reach beyond it. */
export function placed(view, pane, photo) {
  const scale = scaleOf(view, pane, photo);
  const width = photo.width * scale;
  const height = photo.height * scale;
  const cx = view.fit ? 0.5 : view.cx;
  const cy = view.fit ? 0.5 : view.cy;
  return { x: pane.width / 2 - cx * width, y: pane.height / 2 - cy * height, width, height };
}

/** The point of the photo, in its pixels, under a point of the pane. */
export function toPhoto(view, pane, photo, x, y) {
  const at = placed(view, pane, photo);
  const scale = scaleOf(view, pane, photo);
  return { x: (x - at.x) / scale, y: (y - at.y) / scale };
}

/** The view at another scale, with the photo's point under x, y kept in place. */
export function zoomed(view, pane, photo, x, y, scale) {
  const least = fitScale(pane, photo);
  if (scale <= least * 1.001) return { fit: true };
  const s = Math.min(scale, Math.max(MAX_SCALE, least));
  const point = toPhoto(view, pane, photo, x, y);
  const cx = (point.x - (x - pane.width / 2) / s) / photo.width;
  const cy = (point.y - (y - pane.height / 2) / s) / photo.height;
  return kept({ fit: false, scale: s, cx, cy }, pane, photo);
}

/** The view moved by some CSS pixels. */
export function panned(view, pane, photo, dx, dy) {
  if (view.fit) return view;
  const cx = view.cx - dx / (photo.width * view.scale);
  const cy = view.cy - dy / (photo.height * view.scale);
  return kept({ ...view, cx, cy }, pane, photo);
}

/** Never shows empty stage where the photo could fill it. */
function kept(view, pane, photo) {
  const half = (size, length) => Math.min(0.5, size / 2 / (length * view.scale));
  const hx = half(pane.width, photo.width);
  const hy = half(pane.height, photo.height);
  return { ...view, cx: clamp(view.cx, hx, 1 - hx), cy: clamp(view.cy, hy, 1 - hy) };
}

/**
 * What to ask for: the long side of the whole picture, and the part in sight where that is not all.
 * @param dpr device pixels per CSS pixel
 */
export function wanted(view, pane, photo, dpr) {
  const full = Math.max(photo.width, photo.height);
  const scale = scaleOf(view, pane, photo) * dpr;
  const longSide = clamp(Math.round(full * scale), 1, full);
  const share = longSide / full;
  const width = Math.max(1, Math.round(photo.width * share));
  const height = Math.max(1, Math.round(photo.height * share));
  const at = placed(view, pane, photo);
  const perPixel = at.width / width;
  const left = clamp(Math.floor(-at.x / perPixel), 0, width - 1);
  const top = clamp(Math.floor(-at.y / perPixel), 0, height - 1);
  const right = clamp(Math.ceil((pane.width - at.x) / perPixel), left + 1, width);
  const bottom = clamp(Math.ceil((pane.height - at.y) / perPixel), top + 1, height);
  const whole = left === 0 && top === 0 && right === width && bottom === height;
  const area = whole ? null : { x: left, y: top, width: right - left, height: bottom - top };
  return { longSide, area };
}

// A picture that has arrived: drawn into any pane at any view until a newer one takes its place.
import { unpack } from "./packet.js";

export class Shot {
  /** What has arrived: a new picture, or a newer part of the one before. */
  static of(buffer, photo, view, before) {
    const { head, pixels } = unpack(buffer);
    return head.patch ? before.patched(head, pixels) : new Shot(head, pixels, photo, view);
  }

  constructor(head, pixels, photo, view) {
    this.head = head;
    this.photo = photo;
    this.view = view;
    this.pixels = pixels;
    this.canvas = new OffscreenCanvas(head.width, head.height);
    this.canvas.getContext("2d").putImageData(new ImageData(pixels, head.width, head.height), 0, 0);
  }

  /** The picture with a newer part put in; the rest stays as it is. */
  patched(head, pixels) {
    const { x, y, width, height, wholeWidth } = head;
    for (let row = 0; row < height; row++) {
      const from = row * width * 4;
      this.pixels.set(pixels.subarray(from, from + width * 4), ((y + row) * wholeWidth + x) * 4);
    }
    this.canvas.getContext("2d").putImageData(new ImageData(pixels, width, height), x, y);
    this.head = { ...head, x: 0, y: 0, width: wholeWidth, height: head.wholeHeight };
    return this;
  }

  /** Draws into a context in device pixels; at is where the whole photo lies, in the same pixels. */
  draw(context, at) {
    const { x, y, width, height, wholeWidth, wholeHeight } = this.head;
    const sx = at.width / wholeWidth;
    const sy = at.height / wholeHeight;
    const exact = Math.abs(sx - 1) < 0.002;
    const left = Math.round(at.x) + Math.round(x * sx);
    const top = Math.round(at.y) + Math.round(y * sy);
    context.imageSmoothingEnabled = !exact && (sx < 2 || this.view.endsWith(".first"));
    const w = exact ? width : width * sx;
    const h = exact ? height : height * sy;
    context.drawImage(this.canvas, left, top, w, h);
  }

  /** Red, green and blue, 0…255, at a point of the photo; null outside what was rendered. */
  at(photoX, photoY) {
    const { x, y, width, height, wholeWidth, wholeHeight, photoWidth, photoHeight } = this.head;
    const px = Math.floor((photoX / photoWidth) * wholeWidth) - x;
    const py = Math.floor((photoY / photoHeight) * wholeHeight) - y;
    if (px < 0 || py < 0 || px >= width || py >= height) return null;
    const i = (py * width + px) * 4;
    return [this.pixels[i], this.pixels[i + 1], this.pixels[i + 2]];
  }

  /** The same as a mean over a square around the point, as wide as a share of the long side. */
  around(photoX, photoY, share) {
    const { wholeWidth, wholeHeight, photoWidth, photoHeight } = this.head;
    const half = Math.floor((share * Math.max(wholeWidth, wholeHeight)) / 2);
    const sum = [0, 0, 0];
    let n = 0;
    for (let dy = -half; dy <= half; dy++) {
      for (let dx = -half; dx <= half; dx++) {
        const rgb = this.at(photoX + (dx * photoWidth) / wholeWidth, photoY + (dy * photoHeight) / wholeHeight);
        if (!rgb) continue;
        for (let c = 0; c < 3; c++) sum[c] += rgb[c];
        n++;
      }
    }
    return n === 0 ? null : sum.map((v) => Math.round(v / n));
  }
}

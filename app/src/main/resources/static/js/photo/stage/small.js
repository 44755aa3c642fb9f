// Small pictures of what is on the stage, for choosing among ways to change it.
import { fetchBytes } from "../../base/web/http.js";
import { unpack } from "./packet.js";

const LONG_SIDE = 176;

/**
 * Renders small pictures one after the other, the first asked for first.
 * @param address of rendering
 * @param wanted [{ canvas, body, drawn? }]
 * @param stillWanted () → whether to go on
 */
export async function renderSmall(address, wanted, stillWanted) {
  for (const { canvas, body, drawn } of wanted) {
    if (!stillWanted()) return;
    const bytes = await fetchBytes(address, { ...body, longSide: LONG_SIDE, view: "" });
    const { head, pixels } = unpack(bytes);
    Object.assign(canvas, { width: head.width, height: head.height });
    canvas.getContext("2d").putImageData(new ImageData(pixels, head.width, head.height), 0, 0);
    drawn?.();
  }
}

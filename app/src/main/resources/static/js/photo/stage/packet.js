// A picture as the application sends it: length of the head, JSON head, then RGBA pixels.

export function unpack(buffer) {
  const length = new DataView(buffer).getUint32(0);
  const head = JSON.parse(new TextDecoder().decode(new Uint8Array(buffer, 4, length)));
  const pixels = new Uint8ClampedArray(buffer, 4 + length, head.width * head.height * 4);
  return { head, pixels };
}

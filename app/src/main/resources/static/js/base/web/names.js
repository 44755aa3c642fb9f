// Names that nothing else has. Pages that come over the network have no crypto.randomUUID, which
// browsers keep for addresses they trust; random bytes are there everywhere.

/** @param bytes of chance in it. @returns two letters for each, 0–9 and a–f */
export function newName(bytes = 16) {
  return [...crypto.getRandomValues(new Uint8Array(bytes))].map((b) => b.toString(16).padStart(2, "0")).join("");
}

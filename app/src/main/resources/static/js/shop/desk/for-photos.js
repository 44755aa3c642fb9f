// What an update means for the photos that wear what it changes.
import { summary } from "../../leaving/collections/since.js";

/** What it means for her photos, in a sentence. */
export function forPhotos(changes) {
  if (changes.length === 0) return "Nothing that is seen has changed.";
  const looks = changes.filter((c) => c.photos.length > 0 && c.sort === "look").length;
  const mine =
    looks === 0
      ? "No photo of yours looks different for it"
      : looks === 1
        ? "One of them is worn by your photos and looks different"
        : `${looks} of them are worn by your photos and look different`;
  return `${summary(changes)}. ${mine}.`;
}

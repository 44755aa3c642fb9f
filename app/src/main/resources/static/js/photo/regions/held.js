// What a photo holds as plain data: every function gives new regions and leaves the old ones as they were.
import { newName } from "../../base/web/names.js";
import { coveringBy, ruled } from "../mask/rules.js";

const PAINTED = { cover: "brush-on" };

export const regionOf = (held, id) => held.regions.find((r) => r.id === id);

/** One more region, painted from nothing. @returns { held, id } */
export function added(held, name, left = false) {
  const id = newName(4);
  return { held: { regions: [...held.regions, { id, name, mask: PAINTED, picture: "", left }] }, id };
}

/** A region with some fields changed. */
export const changed = (held, id, fields) => ({
  regions: held.regions.map((r) => (r.id === id ? { ...r, ...fields } : r)),
});

/** Without a region. */
export const without = (held, id) => ({ regions: held.regions.filter((r) => r.id !== id) });

/** How a region is found: painted, by rule, or as what is left, which only one is. */
export function foundBy(held, id, how, kinds) {
  const region = regionOf(held, id);
  if (how === "left") {
    return { regions: held.regions.map((r) => (r.id === id ? { ...r, left: true } : { ...r, left: false })) };
  }
  const mask =
    how === "by-rule" && region.mask.cover !== "by-rule"
      ? ruled(ruleFor(region.name, kinds))
      : coveringBy(region.mask, "brush-on");
  const picture = how === "by-rule" ? "" : region.picture;
  return changed(held, id, {
    left: false,
    picture,
    mask: how === "by-rule" && region.mask.cover === "by-rule" ? region.mask : mask,
  });
}

/** The rule that a region of that name begins with. */
const ruleFor = (name, kinds) => kinds.find((k) => k.id === (name === "skin" ? "skin" : "picked"));

/** A mask whose last rule is gone is painted. */
export const asRegion = (mask) => (mask.cover === "everywhere" ? coveringBy(mask, "brush-on") : mask);

/** How a region is found, for its choice. */
export const how = ({ left, mask }) => (left ? "left" : mask.cover);

/** How a region came about, in words. @param strokes painted on it */
export function words(region, strokes) {
  if (region.left) return "what is left";
  if (region.mask.cover === "by-rule") return strokes > 0 ? "by rule, mended" : "by rule";
  if (region.picture) return strokes > 0 ? "a picture, mended" : "a picture";
  return strokes > 0 ? "painted" : "empty";
}

/** A share of the photo in words: fine where it is small. */
export function share(part) {
  const percent = part * 100;
  return `${percent === 0 || percent >= 10 ? Math.round(percent) : percent.toFixed(percent < 0.1 ? 2 : 1)} %`;
}

/** Names that are not taken yet. */
export const free = (held, names) => names.filter((name) => !held.regions.some((r) => r.name.toLowerCase() === name));

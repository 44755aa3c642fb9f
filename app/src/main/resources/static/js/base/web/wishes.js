// What is wished of results: size, sharpening, profile, names, quality, what of the photo's own data stays.
// It stays as it was set last, on every page.
import { say } from "./say.js";

const KEPT = "nine-veils-wishes";

/** Where earlier versions kept two of them: a wish for discretion is not forgotten. */
const BEFORE = { discreet: "discreet-results", quality: "quality-of-results" };

/**
 * @param root holds [data-wish], [data-discreet] and [data-quality]
 * @returns () → { longSide, sharpening, space, names, discreet, quality } for a request
 */
export function resultWishes(root) {
  const fields = [...root.querySelectorAll("[data-wish]")];
  const tick = root.querySelector("[data-discreet]");
  const number = root.querySelector("[data-quality]");

  function put(field, value) {
    if (value !== undefined) field.value = value;
    if (field.value === "" && field.dataset.wish !== "longSide") reset(field); // a choice that is no more
  }

  function reset(field) {
    if (field.tagName === "SELECT") field.selectedIndex = 0;
    else field.value = field.defaultValue;
  }

  function show() {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? "{}");
    for (const field of fields) put(field, kept[field.dataset.wish]);
    tick.checked = kept.discreet ?? localStorage.getItem(BEFORE.discreet) === "yes";
    put(number, kept.quality ?? localStorage.getItem(BEFORE.quality) ?? undefined);
  }

  function keep() {
    const unfit = [...fields, number].find((field) => !field.checkValidity());
    if (unfit) {
      say(`${unfit.labels[0].textContent.trim()}: ${unfit.validationMessage}`, { fault: true });
      return show(); // what was wished before still is
    }
    put(number);
    for (const field of fields) put(field);
    const all = Object.fromEntries(fields.map((f) => [f.dataset.wish, f.value]));
    localStorage.setItem(KEPT, JSON.stringify({ ...all, discreet: tick.checked, quality: number.value }));
  }

  show();
  root.addEventListener("change", keep);
  root.addEventListener("focusin", show); // the same wishes stand twice on a page
  return () => {
    show();
    const { longSide, ...words } = Object.fromEntries(fields.map((f) => [f.dataset.wish, f.value.trim()]));
    return {
      ...words,
      ...(longSide ? { longSide: Number(longSide) } : {}),
      discreet: tick.checked,
      quality: Number(number.value),
    };
  };
}

// The buttons for looking: what each does on the stage, and which is pressed.

import { scaleOf } from "./view.js";

/** @returns { press(look, pressed), pressOnly(looks, look), show(look, shown), name(look, text) } */
export function lookButtons(box, stage) {
  const button = (look) => box.querySelector(`[data-look=${look}]`);
  const looks = {
    side: () => stage.comparing.toggle("side"),
    wiper: () => stage.comparing.toggle("wiper"),
    pins: () => stage.comparing.toggle("pins"),
    mask: () => stage.masked.toggle(),
    "mask-as": () => stage.masked.next(),
    fit: () => stage.fit(),
    full: () => stage.full(undefined),
  };
  for (const [look, run] of Object.entries(looks)) button(look).addEventListener("click", run);
  const zoom = box.querySelector("[data-zoom]");
  stage.overlay(() => {
    const scale = scaleOf(stage.view, stage.seen.size, stage.source.photo()) * devicePixelRatio;
    zoom.textContent = `${Math.round(scale * 100)} %`;
  });
  const hold = button("plain");
  hold.addEventListener("pointerdown", () => stage.holdPlain(true));
  for (const end of ["pointerup", "pointerleave", "pointercancel", "blur"]) {
    hold.addEventListener(end, () => stage.holdPlain(false));
  }
  hold.addEventListener("keydown", (e) => [" ", "Enter"].includes(e.key) && stage.holdPlain(true));
  hold.addEventListener("keyup", () => stage.holdPlain(false));
  const press = (look, pressed) => button(look).setAttribute("aria-pressed", String(pressed));
  return {
    press,
    /** Presses one of some, or none. */
    pressOnly: (some, one) => some.forEach((look) => press(look, look === one)),
    name: (look, text) => (button(look).textContent = text),
    show: (look, shown) => (button(look).hidden = !shown),
  };
}

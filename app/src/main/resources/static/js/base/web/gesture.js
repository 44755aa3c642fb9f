// Which drag or held key is under way: saves of one gesture are one step of undo.

const WHEEL_RESTS_MS = 400;
const page = Math.random().toString(36).slice(2, 10);
let count = 0;
let wheeled = 0;

const begin = () => (count += 1);

document.addEventListener("pointerdown", begin, true);
document.addEventListener("keydown", (event) => event.repeat || begin(), true);
document.addEventListener(
  "wheel",
  () => {
    const now = performance.now();
    if (now - wheeled > WHEEL_RESTS_MS) begin();
    wheeled = now;
  },
  { capture: true, passive: true },
);

/** Name of the gesture that is under way, or was last. */
export const gesture = () => `${page}-${count}`;

// Picks a colour of the plain photo: the next press on the stage, Enter for where the pointer was
// last or the middle, or Escape. It is a mean over about what rules take together, so that a thread of
// a blanket does not stand for the blanket.

/** Three pixels of the small photo on which rules decide. */
const SIDE = 3 / 480;

const hex = (rgb) => `#${rgb.map((v) => v.toString(16).padStart(2, "0")).join("")}`;

/**
 * @param stage the stage
 * @returns promise of #rrggbb, or of null where the press was elsewhere or Escape came
 */
export function pickColour(stage) {
  stage.root.classList.add("is-picking");
  const colourAt = (x, y) => {
    const { point } = stage.readAt(x, y);
    return stage.plain.shot?.around(point.x, point.y, SIDE);
  };
  return new Promise((resolve) => {
    const over = new AbortController();
    const end = (event, rgb) => {
      event.preventDefault();
      event.stopImmediatePropagation();
      over.abort();
      stage.root.classList.remove("is-picking");
      resolve(rgb ? hex(rgb) : null);
    };
    const listening = { capture: true, signal: over.signal };
    document.addEventListener(
      "pointerdown",
      (event) => {
        const onPane = event.target.closest(".pane") === stage.pane;
        end(event, onPane ? colourAt(event.offsetX, event.offsetY) : null);
      },
      listening,
    );
    document.addEventListener(
      "keydown",
      (event) => {
        const { x, y } = stage.middle();
        if (event.key === "Escape") end(event, null);
        if (event.key === "Enter") end(event, colourAt(x, y));
      },
      listening,
    );
  });
}

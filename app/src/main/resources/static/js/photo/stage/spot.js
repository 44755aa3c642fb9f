// Marks a spot of the photo: a press, or an area that is drawn.

const DRAWN_FROM = 6; // CSS pixels from which it is an area

/**
 * Waits for the next press on the stage, or Escape; Enter marks where the pointer was last, or the
 * middle of the stage.
 * @returns promise of { x, y, width, height } in shares of the long side, or null
 */
export function pickSpot(stage) {
  stage.root.classList.add("is-picking");
  const over = new AbortController();
  const listening = { capture: true, signal: over.signal };
  return new Promise((resolve) => {
    let from = null;
    const end = (spot) => {
      over.abort();
      stage.root.classList.remove("is-picking");
      resolve(spot);
    };
    const stop = (event) => {
      event.preventDefault();
      event.stopImmediatePropagation();
    };
    const at = (event) => {
      const box = stage.pane.getBoundingClientRect();
      return { x: event.clientX - box.left, y: event.clientY - box.top };
    };
    document.addEventListener(
      "pointerdown",
      (event) => {
        if (event.target.closest(".pane") !== stage.pane) return end(null);
        stop(event);
        from = at(event);
      },
      listening,
    );
    document.addEventListener(
      "pointerup",
      (event) => {
        if (!from) return;
        stop(event);
        const to = at(event);
        const drawn = Math.hypot(to.x - from.x, to.y - from.y) >= DRAWN_FROM;
        const a = stage.shareAt(drawn ? Math.min(from.x, to.x) : from.x, drawn ? Math.min(from.y, to.y) : from.y);
        const b = stage.shareAt(Math.max(from.x, to.x), Math.max(from.y, to.y));
        end({ ...a, width: drawn ? b.x - a.x : 0, height: drawn ? b.y - a.y : 0 });
      },
      listening,
    );
    document.addEventListener(
      "keydown",
      (event) => {
        if (event.key !== "Escape" && event.key !== "Enter") return;
        stop(event);
        if (event.key === "Escape") return end(null);
        const point = stage.middle();
        end({ ...stage.shareAt(point.x, point.y), width: 0, height: 0 });
      },
      listening,
    );
  });
}

/** Shows a marked spot over the picture. @returns { show(spot | null) } */
export function spotMark(stage) {
  const mark = document.createElement("div");
  mark.className = "spot-mark";
  mark.hidden = true;
  stage.pane.append(mark);
  let spot = null;
  const draw = () => {
    mark.hidden = !spot;
    if (!spot) return;
    const a = stage.pointOf(spot);
    mark.classList.toggle("is-area", spot.width > 0);
    Object.assign(mark.style, {
      left: `${a.x}px`,
      top: `${a.y}px`,
      width: `${stage.pixels(spot.width)}px`,
      height: `${stage.pixels(spot.height)}px`,
    });
  };
  stage.overlay(draw);
  return {
    show(next) {
      spot = next;
      draw();
    },
  };
}

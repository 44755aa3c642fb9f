// The line between the plain and the finished picture, moved by pointer and keys.

const STEP = 0.02;

export class Wiper {
  share = 0.5;

  /** @param pane element that it hangs in; moved() is called when it has moved */
  constructor(pane, moved) {
    this.line = document.createElement("div");
    this.line.className = "wiper";
    this.line.tabIndex = 0;
    this.line.hidden = true;
    for (const [name, value] of Object.entries({
      role: "slider",
      "aria-label": "Plain photo up to here",
      "aria-valuemin": "0",
      "aria-valuemax": "100",
    }))
      this.line.setAttribute(name, value);
    pane.append(this.line);
    this.pane = pane;
    this.moved = moved;
    this.line.addEventListener("pointerdown", (event) => {
      event.stopPropagation();
      this.line.setPointerCapture(event.pointerId);
    });
    this.line.addEventListener("pointermove", (event) => {
      if (this.line.hasPointerCapture(event.pointerId))
        this.#to((event.clientX - pane.getBoundingClientRect().left) / pane.clientWidth);
    });
    this.line.addEventListener("keydown", (event) => {
      const step = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
      if (!step) return;
      event.preventDefault();
      this.#to(this.share + step);
    });
    this.#to(0.5);
  }

  show(shown) {
    this.line.hidden = !shown;
  }

  #to(share) {
    this.share = Math.min(1, Math.max(0, share));
    this.line.style.left = `${this.share * 100}%`;
    this.line.setAttribute("aria-valuenow", String(Math.round(this.share * 100)));
    this.moved();
  }
}

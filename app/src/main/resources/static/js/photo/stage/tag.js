// The words beside the looking buttons: first that the picture is not the newest, then what it is instead
// of the finished one, then what is looked at. They never lie over the photo.

export class Tag {
  /** What is looked at, in words; empty for what is there. */
  own = "";

  /** @param pane of the finished picture, which is named where it stands beside the plain one */
  constructor(pane) {
    this.element = document.querySelector("[data-tag]");
    this.finished = pane.querySelector("[data-finished]");
  }

  /** @param what { behind, here: the photo itself is shown, plain, side } */
  show({ behind, here, plain, side }) {
    let words = plain ? "Plain photo" : this.own;
    if (behind)
      words = here ? "Before your last change: the newest picture is not here yet" : "The picture is not here yet";
    this.finished.hidden = !side;
    this.element.textContent = this.element.title = words;
    this.element.hidden = !words;
    this.element.classList.toggle("is-behind", behind);
  }
}

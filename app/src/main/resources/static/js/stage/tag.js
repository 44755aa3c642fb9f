// The words in the corner of the picture: first that it is not the newest, then what it is instead
// of the finished one, then a hint.

export class Tag {
  /** A hint over the picture; empty for none. */
  own = "";

  constructor(element) {
    this.element = element;
  }

  /** @param what { behind, here: the photo itself is shown, plain, side } */
  show({ behind, here, plain, side }) {
    let words = this.own || (side ? "Finished" : "");
    if (plain) words = "Plain photo";
    if (behind) words = here ? "Before your last change: the newest picture is not here yet" : "The picture is not here yet";
    this.element.textContent = words;
    this.element.hidden = !words;
  }
}

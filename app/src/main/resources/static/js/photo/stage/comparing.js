// How plain and finished are compared: one at a time, side by side, by a wiper, or with pins.
import { keepLook } from "./kept-look.js";

export class Comparing {
  mode = "one"; // side, wiper, pins

  /** @param drawn draws the stage anew */
  constructor(stage, drawn) {
    Object.assign(this, { stage, drawn });
  }

  set(mode) {
    const { stage } = this;
    this.mode = mode;
    stage.plain.element.hidden = mode !== "side";
    stage.pane.hidden = mode === "pins";
    stage.pins.root.hidden = mode !== "pins";
    stage.wiper.show(mode === "wiper");
    stage.buttons.pressOnly(["side", "wiper", "pins"], mode);
    keepLook({ view: stage.view, mode });
    this.drawn();
  }

  /** The same, and asks for what is seen then. */
  turnTo(mode) {
    this.set(mode);
    this.stage.refresh();
  }

  next() {
    const modes = ["one", "side", "wiper", ...(this.stage.pins.isEmpty ? [] : ["pins"])];
    this.turnTo(modes[(modes.indexOf(this.mode) + 1) % modes.length]);
  }

  toggle(mode) {
    this.turnTo(this.mode === mode ? "one" : mode);
  }

  pinsChanged() {
    const { buttons, pins } = this.stage;
    buttons.show("pins", !pins.isEmpty);
    if (this.mode === "pins") this.turnTo(pins.isEmpty ? "one" : "pins");
  }
}

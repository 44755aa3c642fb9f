// Up to four remembered states beside one another, at the same view.
import { Loader } from "./loader.js";
import { Pane } from "./pane.js";
import { listenDrag, listenWheel } from "./pointing.js";

const MOST = 4;

export class PinPanes {
  #panes = [];
  #shape = "";

  /**
   * @param stage the stage that they are seen on
   * @param root element that takes the panes
   * @param pins gives [{ key, name, body, choose }]; the first is what is worn now
   */
  constructor(stage, root, pins) {
    this.stage = stage;
    this.root = root;
    this.pins = pins;
  }

  /** Those that are shown: four pins, or what is worn now and the pins that there are. */
  #shown() {
    const all = this.pins();
    return all.length > MOST ? all.slice(-MOST) : all;
  }

  get isEmpty() {
    return this.pins().length < 2;
  }

  refresh() {
    const shown = this.#shown();
    const shape = JSON.stringify(shown.map((p) => [p.key, p.name]));
    if (shape !== this.#shape) {
      this.#shape = shape;
      this.root.dataset.count = String(shown.length);
      this.root.replaceChildren(...shown.map((pin, i) => this.#pane(pin, i)));
    }
    for (const pane of this.#panes.slice(0, shown.length)) pane.loader.ask();
  }

  #pane(pin, index) {
    const element = document.createElement("div");
    element.className = "pane";
    const canvas = document.createElement("canvas");
    canvas.dataset.picture = "";
    const tag = document.createElement(pin.choose ? "button" : "span");
    tag.className = "tag";
    tag.textContent = pin.name;
    if (pin.choose) {
      tag.type = "button";
      tag.title = "Wear this";
      tag.addEventListener("click", pin.choose);
    }
    element.append(canvas, tag);
    const pane = new Pane(element);
    pane.loader = new Loader(
      (signal) => this.stage.asking.fetchFor(pane, this.#shown()[index]?.body, `pin-${index}`, signal),
      (shot) => {
        pane.shot = shot;
        this.#draw(pane);
      },
      this.stage.told,
    );
    this.#panes[index] = pane;
    listenWheel(this.stage, pane);
    listenDrag(this.stage, pane);
    return element;
  }

  #draw(pane) {
    pane.draw(this.stage.view, this.stage.source.photo());
  }

  /** The first of those that are seen, or null. */
  get first() {
    return this.#panes.find((pane) => pane.element.isConnected) ?? null;
  }

  draw() {
    for (const pane of this.#panes) if (pane.element.isConnected) this.#draw(pane);
  }
}

// The stage: a photo, plain and finished, on neutral grey. Looks, zoom and position stay when the
// photo, the effect or the page changes.
import { sayFault } from "../../base/web/say.js";
import { Asking } from "./asking.js";
import { listenStage } from "./listening.js";
import { Comparing } from "./comparing.js";
import { keepLook, keptLook } from "./kept-look.js";
import { lookButtons } from "./look-buttons.js";
import { MaskLook } from "./mask-look.js";
import { fresh, Pane } from "./pane.js";
import { PinPanes } from "./pin-panes.js";
import { Tag } from "./tag.js";
import { lengthOf, pointOver, shareUnder } from "./shares.js";
import { isFull, panned, toPhoto, zoomed } from "./view.js";
import { drawWeave } from "./weave.js";
import { Wiper } from "./wiper.js";

export class Stage {
  #holding = false;
  #stroke = null;
  #overlays = [];

  /**
   * @param root element of the stage
   * @param looks element with the buttons for looking
   * @param source { address, photo(): { id, width, height }, body(): what to render, or null to
   *   wait, maskBody(): what to hatch, or null, pins?(): what to compare }
   * @param on { finished(shot), plain(shot), spot(point | null), photo(): the exact picture of another
   *   photo is there }
   */
  constructor(root, looks, source, on = {}) {
    this.root = root;
    this.buttons = lookButtons(looks, this);
    this.source = source;
    this.on = on;
    this.finished = new Pane(root.querySelector(".pane-finished"));
    this.plain = new Pane(root.querySelector(".pane-plain"));
    this.pane = this.finished.element;
    this.tag = new Tag(this.pane);
    this.weave = root.querySelector("[data-weave]");
    this.asking = new Asking(this, {
      finished: (shot) => this.#show(shot),
      plain: (shot) => this.#showPlain(shot),
      mask: (shot) => this.#drawWeave((this.masked.shot = shot)),
      photo: () => on.photo?.(),
      told: this.told,
      masked: () => this.masked.shown,
      also: () => this.comparing.mode === "pins" && this.pins.refresh(),
    });
    this.masked = new MaskLook(this.buttons, { ask: () => this.asking.mask.ask(), draw: () => this.#drawWeave() });
    this.pins = new PinPanes(this, root.querySelector(".panes-pins"), source.pins ?? (() => []));
    this.wiper = new Wiper(this.pane, () => this.view && this.#drawAll());
    this.comparing = new Comparing(this, () => this.#drawAll());
    const kept = keptLook();
    this.view = kept.view;
    listenStage(this, () => this.#drawAll());
    this.comparing.set(kept.mode === "pins" && !source.pins ? "one" : kept.mode);
    this.#setView(kept.view);
  }

  /** Asks for what the source gives now. @param moving while the hand moves */
  refresh = (moving) => this.asking.refresh(moving);

  /** The same where something else is looked at: what is on its way is given up. */
  another = () => this.asking.another();

  /** What is looked at, in words; empty for what is there. */
  label(text) {
    if (this.tag.own === text) return;
    this.tag.own = text;
    this.#drawAll();
  }

  /** Draws something over the picture whenever it is drawn. */
  overlay = (draw) => this.#overlays.push(draw);

  /** The way of a stroke that is being painted; null when it has arrived in the picture. */
  paintUnderHand(points, diameterShare) {
    this.#stroke = points ? { points, diameterShare } : null;
    this.#drawWeave();
  }

  maskButton(shown) {
    this.buttons.show("mask", shown);
    if (!shown && this.masked.shown) this.masked.toggle();
  }

  holdPlain(holding) {
    if (this.#holding === holding) return;
    this.#holding = holding;
    this.#drawAll();
  }

  /** The pane that is looked at: of several pins the first. */
  get seen() {
    return (this.comparing.mode === "pins" && this.pins.first) || this.finished;
  }

  /** One photo pixel to one screen pixel at the point last pointed at, from any zoom; and back. */
  toggleFull() {
    if (isFull(this.view)) this.fit();
    else this.full(this.lastPoint);
  }

  fit = () => this.#look({ fit: true });
  full = (point) => this.zoomTo(this.seen, 1 / devicePixelRatio, point);

  /** Point of the photo, in shares of its long side, under a point of the pane. */
  shareAt(x, y) {
    return shareUnder(this.view, this.finished.size, this.source.photo(), x, y);
  }

  /** Point of the pane, CSS pixels, over a point of the photo in shares of its long side. */
  pointOf(share) {
    return pointOver(this.view, this.finished.size, this.source.photo(), share);
  }

  /** CSS pixels of a length given as a share of the long side. */
  pixels(share) {
    return lengthOf(this.view, this.finished.size, this.source.photo(), share);
  }

  panBy(dx, dy, pane = this.finished) {
    this.#look(panned(this.view, pane.size, this.source.photo(), dx, dy));
  }

  readAt(x, y) {
    const p = toPhoto(this.view, this.finished.size, this.source.photo(), x, y);
    return { point: p, plain: this.plain.shot?.at(p.x, p.y), finished: this.finished.shot?.at(p.x, p.y) };
  }

  /** Where the pointer was last, or the middle of the pane. */
  middle = () => this.lastPoint ?? { x: this.finished.size.width / 2, y: this.finished.size.height / 2 };

  get longSide() {
    return this.finished.wanted(this.view, this.source.photo()).longSide;
  }

  zoomTo(pane, scale, point) {
    const at = point ?? { x: pane.size.width / 2, y: pane.size.height / 2 };
    this.#look(zoomed(this.view, pane.size, this.source.photo(), at.x, at.y, scale));
  }

  #look(view) {
    this.#setView(view);
    this.another();
  }

  #setView(view) {
    this.view = view;
    keepLook({ view, mode: this.comparing.mode });
    this.buttons.pressOnly(["fit", "full"], isFull(view) ? "full" : view.fit ? "fit" : "");
    this.#drawAll();
  }

  told = ({ fault }) => {
    if (fault) sayFault(fault);
    this.root.classList.toggle("is-busy", this.asking.busy);
    if (this.root.classList.contains("is-behind") === this.asking.behind) return;
    this.root.classList.toggle("is-behind");
    this.#drawAll();
  };

  #show(shot) {
    this.finished.shot = shot;
    this.#drawAll();
    this.root.dataset.shown = String(Number(this.root.dataset.shown ?? 0) + 1);
    this.on.finished?.(shot);
  }

  #showPlain(shot) {
    this.plain.shot = shot;
    this.#drawAll();
    this.on.plain?.(shot);
  }

  #drawAll() {
    const photo = this.source.photo();
    const held = this.#holding && this.plain.shot;
    const wiped = this.comparing.mode === "wiper" && !held ? this.plain.shot : null;
    this.finished.draw(this.view, photo, held ? this.plain.shot : this.finished.shot, wiped, this.wiper.share);
    if (this.comparing.mode === "side") this.plain.draw(this.view, photo);
    if (this.comparing.mode === "pins") this.pins.draw();
    this.tag.show({
      behind: this.asking.behind,
      here: this.finished.shot?.photo === photo,
      plain: held,
      side: this.comparing.mode === "side",
    });
    this.#drawWeave();
    for (const draw of this.#overlays) draw(this);
  }

  #drawWeave() {
    const photo = this.source.photo();
    const at = this.finished.placed(this.view, photo);
    drawWeave(fresh(this.weave), photo, at, this.#holding ? {} : { mask: this.masked.drawn, stroke: this.#stroke });
  }
}

// The stage: a photo, plain and finished, on neutral grey. Looks, zoom and position stay when the
// photo or the effect changes.
import { fetchBytes } from "../web/http.js";
import { sayFault } from "../web/say.js";
import { Loader } from "./loader.js";
import { Shot } from "./shot.js";
import { panned, placed, scaleOf, toPhoto, wanted, zoomed } from "./view.js";
import { hatch, hatchStroke } from "./weave.js";

const WHEEL_STEP = 1.15;
const RESIZE_SETTLES_MS = 80;

export class Stage {
  #view = { fit: true };
  #finished = null;
  #plain = null;
  #plainKey = "";
  #mask = null;
  #holding = false;
  #side = false;
  #showMask = false;
  #stroke = null;

  /**
   * @param root element of the stage
   * @param looks element with the buttons for looking
   * @param source { address, photo(): { id, width, height }, body(): what to render, or null to
   *   wait, maskBody(): what to hatch, or null }
   * @param on { finished(shot), plain(shot), spot(point | null) }
   */
  constructor(root, looks, source, on = {}) {
    this.root = root;
    this.looks = looks;
    this.source = source;
    this.on = on;
    this.pane = root.querySelector(".pane-finished");
    this.plainPane = root.querySelector(".pane-plain");
    this.tag = root.querySelector("[data-tag]");
    this.name = crypto.randomUUID();
    const told = ({ busy, fault }) => {
      const loaders = [this.loader, this.plainLoader, this.maskLoader];
      if (busy !== undefined) root.classList.toggle("is-busy", loaders.some((l) => l.busy));
      if (fault) sayFault(fault);
    };
    this.loader = new Loader(() => this.#load(), (shot) => this.#show(shot), told);
    this.plainLoader = new Loader(() => this.#loadPlain(), (shot) => this.#showPlain(shot), told);
    this.maskLoader = new Loader(() => this.#loadMask(), (shot) => this.#showMasked(shot), told);
    this.#listen();
  }

  /** Asks for what the source gives now. */
  refresh() {
    this.loader.ask();
    if (this.#plainKey !== this.#wantedKey()) this.plainLoader.ask();
    if (this.#showMask) this.maskLoader.ask();
  }

  /** A hint over the picture; empty for none. */
  label(text) {
    this.tag.dataset.own = text;
    this.#drawAll();
  }

  /** The way of a stroke that is being painted; null when it has arrived in the picture. */
  paintUnderHand(points, diameterShare) {
    this.#stroke = points ? { points, diameterShare } : null;
    this.#drawWeave();
  }

  maskButton(shown) {
    this.#button("mask").hidden = !shown;
    if (!shown && this.#showMask) this.toggleMask();
  }

  holdPlain(holding) {
    if (this.#holding === holding) return;
    this.#holding = holding;
    this.#drawAll();
  }

  toggleSide() {
    this.#side = !this.#side;
    this.plainPane.hidden = !this.#side;
    this.#press("side", this.#side);
  }

  toggleMask() {
    this.#showMask = !this.#showMask;
    this.#press("mask", this.#showMask);
    if (this.#showMask) this.maskLoader.ask();
    else this.#drawWeave();
  }

  /** Fit, or one photo pixel to one screen pixel at the point last pointed at. */
  toggleFull() {
    if (this.#view.fit) this.#zoomTo(1 / devicePixelRatio, this.lastPoint);
    else this.#look({ fit: true });
  }

  /** Point of the photo, in shares of its long side, under a point of the pane. */
  shareAt(x, y) {
    const photo = this.source.photo();
    const p = toPhoto(this.#view, this.#size(), photo, x, y);
    const long = Math.max(photo.width, photo.height);
    return { x: p.x / long, y: p.y / long };
  }

  /** CSS pixels of a length given as a share of the long side. */
  pixels(share) {
    const photo = this.source.photo();
    return share * Math.max(photo.width, photo.height) * scaleOf(this.#view, this.#size(), photo);
  }

  get zoomedIn() {
    return !this.#view.fit;
  }

  panBy(dx, dy) {
    this.#look(panned(this.#view, this.#size(), this.source.photo(), dx, dy));
  }

  readAt(x, y) {
    const p = toPhoto(this.#view, this.#size(), this.source.photo(), x, y);
    return { point: p, plain: this.#plain?.at(p.x, p.y), finished: this.#finished?.at(p.x, p.y) };
  }

  #size() {
    return { width: this.pane.clientWidth, height: this.pane.clientHeight };
  }

  #zoomTo(scale, point) {
    const pane = this.#size();
    const at = point ?? { x: pane.width / 2, y: pane.height / 2 };
    this.#look(zoomed(this.#view, pane, this.source.photo(), at.x, at.y, scale));
  }

  #look(view) {
    this.#view = view;
    this.#press("fit", view.fit);
    this.#press("full", !view.fit && Math.abs(view.scale * devicePixelRatio - 1) < 0.01);
    this.#drawAll();
    this.refresh();
  }

  #press(look, pressed) {
    this.#button(look).setAttribute("aria-pressed", String(pressed));
  }

  #button(look) {
    return this.looks.querySelector(`[data-look=${look}]`);
  }

  #wanted() {
    return wanted(this.#view, this.#size(), this.source.photo(), devicePixelRatio);
  }

  #wantedKey() {
    return JSON.stringify([this.source.photo().id, this.#wanted()]);
  }

  async #fetch(body, view, before) {
    if (!body || this.pane.clientWidth === 0) return null;
    const photo = this.source.photo();
    const have = before?.photo === photo ? before.head.turn : undefined;
    const bytes = await fetchBytes(this.source.address, { ...body, ...this.#wanted(), view, have });
    return bytes && photo === this.source.photo() ? Shot.of(bytes, photo, before) : null;
  }

  #load() {
    return this.#fetch(this.source.body(), this.name, this.#finished);
  }

  async #loadPlain() {
    const key = this.#wantedKey();
    const body = this.source.body();
    const shot = await this.#fetch(body && { ...body, plain: true }, `${this.name}-plain`);
    if (shot) this.#plainKey = key;
    return shot;
  }

  #loadMask() {
    return this.#fetch(this.source.maskBody(), `${this.name}-mask`);
  }

  #show(shot) {
    this.#finished = shot;
    this.#drawAll();
    this.root.dataset.shown = String(Number(this.root.dataset.shown ?? 0) + 1);
    this.on.finished?.(shot);
  }

  #showPlain(shot) {
    this.#plain = shot;
    this.#drawAll();
    this.on.plain?.(shot);
  }

  #showMasked(shot) {
    this.#mask = shot;
    this.#drawWeave();
  }

  #drawAll() {
    const held = this.#holding && this.#plain;
    this.#drawPicture(this.pane, held ? this.#plain : this.#finished);
    if (this.#side) this.#drawPicture(this.plainPane, this.#plain);
    const words = held ? "Plain photo" : this.#side ? this.tag.dataset.own || "Finished" : this.tag.dataset.own;
    this.tag.textContent = words ?? "";
    this.tag.hidden = !words;
    this.#drawWeave();
  }

  #drawPicture(pane, shot) {
    const context = fresh(pane.querySelector("[data-picture]"));
    if (shot && shot.photo === this.source.photo()) shot.draw(context, this.#placedIn(pane));
  }

  #drawWeave() {
    const context = fresh(this.pane.querySelector("[data-weave]"));
    if (this.#holding) return;
    const at = this.#placedIn(this.pane);
    if (this.#showMask && this.#mask) hatch(context, this.#mask, at);
    if (this.#stroke) {
      const photo = this.source.photo();
      const scale = (at.width / photo.width) * Math.max(photo.width, photo.height);
      const points = this.#stroke.points.map((p) => ({ x: at.x + p.x * scale, y: at.y + p.y * scale }));
      hatchStroke(context, points, this.#stroke.diameterShare * scale);
    }
  }

  /** Where the whole photo lies in a pane, device pixels. */
  #placedIn(pane) {
    const size = { width: pane.clientWidth, height: pane.clientHeight };
    const at = placed(this.#view, size, this.source.photo());
    const d = devicePixelRatio;
    return { x: at.x * d, y: at.y * d, width: at.width * d, height: at.height * d };
  }

  #listen() {
    const looks = {
      side: () => this.toggleSide(),
      mask: () => this.toggleMask(),
      fit: () => this.#look({ fit: true }),
      full: () => this.#zoomTo(1 / devicePixelRatio),
    };
    for (const [look, run] of Object.entries(looks)) {
      this.#button(look).addEventListener("click", run);
    }
    const hold = this.#button("plain");
    hold.addEventListener("pointerdown", () => this.holdPlain(true));
    for (const end of ["pointerup", "pointerleave", "pointercancel", "blur"]) {
      hold.addEventListener(end, () => this.holdPlain(false));
    }
    hold.addEventListener("keydown", (e) => [" ", "Enter"].includes(e.key) && this.holdPlain(true));
    hold.addEventListener("keyup", () => this.holdPlain(false));
    this.pane.addEventListener("wheel", (event) => this.#wheel(event), { passive: false });
    this.pane.addEventListener("pointermove", (event) => this.#point(event));
    this.pane.addEventListener("pointerleave", () => this.on.spot?.(null));
    let settling;
    new ResizeObserver(() => {
      this.#drawAll();
      clearTimeout(settling);
      settling = setTimeout(() => this.refresh(), RESIZE_SETTLES_MS);
    }).observe(this.pane);
  }

  #wheel(event) {
    event.preventDefault();
    const now = scaleOf(this.#view, this.#size(), this.source.photo());
    this.#zoomTo(now * WHEEL_STEP ** -Math.sign(event.deltaY), { x: event.offsetX, y: event.offsetY });
  }

  #point(event) {
    this.lastPoint = { x: event.offsetX, y: event.offsetY };
    this.on.spot?.(this.lastPoint);
  }
}

function fresh(canvas) {
  const width = Math.round(canvas.clientWidth * devicePixelRatio);
  const height = Math.round(canvas.clientHeight * devicePixelRatio);
  const context = canvas.getContext("2d");
  if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
  else context.clearRect(0, 0, width, height);
  return context;
}

// The brush: armed by picking a brush-on veil, paints masks and nothing else. Without it the
// pointer moves the photo.
import { slider } from "../../base/editors/slider.js";
import { SETTINGS, strokeOf } from "./stroke.js";

const HOLDS = 18; // what the key begins with

const KEPT = "nine-veils-brush";
const KEY_FACTOR = 1.15;
const KEY_STEP = 5;
const FINEST_PRESSURE = 100;
const NEAREST = 0.0005; // points closer together than this share of the long side are one

export class Brush {
  #armed = false;
  #first = true;
  #points = null;
  #on = null; // what the stroke was begun on
  #pan = null;
  #last = null; // where the last stroke ended: with Shift the next one begins there

  /**
   * @param stage what is painted on
   * @param box element with the sliders
   * @param on { begin(): what is painted on, progress(stroke, on), done(stroke, on) }: strokes as the
   *   application takes them; one keeps what it began on, whatever is opened meanwhile
   */
  constructor(stage, box, on) {
    this.stage = stage;
    this.box = box;
    this.on = on;
    this.ring = stage.pane.querySelector(".ring");
    this.values = { reveal: true, pressed: "size", ...Object.fromEntries(SETTINGS.map((s) => [s.key, s.start])) };
    Object.assign(this.values, JSON.parse(localStorage.getItem(KEPT) ?? "{}"), { reveal: true });
    this.sliders = new Map(SETTINGS.map((s) => [s.key, this.#slider(s)]));
    for (const button of box.querySelectorAll("[data-reveal]")) {
      button.addEventListener("click", () => this.setReveal(button.dataset.reveal === "true"));
    }
    for (const button of box.querySelectorAll("[data-pressed]")) {
      button.addEventListener("click", () => this.#press(button.dataset.pressed));
    }
    this.#press(this.values.pressed);
    this.sliders.get("holding").element.title =
      "Above 0 a stroke keeps to the colour that it began on, and to the edges of the photo";
    this.#listen();
  }

  /** Words beside the brush; empty for none. */
  hint(words) {
    const hint = this.box.querySelector("[data-brush-hint]");
    if (hint.textContent !== words) hint.textContent = words;
    hint.hidden = words === "";
  }

  /** What the pressure of a pen moves: size, flow, or nothing. */
  #press(moves) {
    this.values.pressed = moves;
    localStorage.setItem(KEPT, JSON.stringify(this.values));
    for (const button of this.box.querySelectorAll("[data-pressed]"))
      button.setAttribute("aria-pressed", String(button.dataset.pressed === moves));
  }

  /** Holds to the colour that a stroke begins on, or no longer. */
  toggleHolding() {
    if (!this.#armed) return;
    const { holding } = this.values;
    if (holding > 0) this.held = holding;
    this.#set("holding", holding > 0 ? 0 : (this.held ?? HOLDS));
  }

  #slider(setting) {
    const made = slider(setting, this.values[setting.key], {
      input: (value) => this.#set(setting.key, value),
    });
    this.box.querySelector("[data-brush-sliders]").append(made.element);
    return made;
  }

  #set(key, value) {
    this.values[key] = value;
    this.sliders.get(key).set(value);
    localStorage.setItem(KEPT, JSON.stringify(this.values));
    this.#drawRing();
  }

  /** @param reveal what it does first: reveals, or hides where all is covered */
  arm(armed, reveal = true) {
    if (armed && (!this.#armed || reveal !== this.#first)) this.setReveal(reveal);
    this.#first = reveal;
    this.#armed = armed;
    this.box.hidden = !armed;
    this.stage.root.classList.toggle("is-armed", armed);
    this.#drawRing();
  }

  get armed() {
    return this.#armed;
  }

  setReveal(reveal) {
    this.values.reveal = reveal;
    for (const button of this.box.querySelectorAll("[data-reveal]")) {
      button.setAttribute("aria-pressed", String((button.dataset.reveal === "true") === reveal));
    }
    this.ring.classList.toggle("is-hiding", !reveal);
  }

  toggleReveal() {
    if (this.#armed) this.setReveal(!this.values.reveal);
  }

  larger(up) {
    this.#nudge("size", this.values.size * (up ? KEY_FACTOR : 1 / KEY_FACTOR));
  }

  softer(up) {
    this.#nudge("softness", this.values.softness + (up ? KEY_STEP : -KEY_STEP));
  }

  #nudge(key, value) {
    const { min, max } = SETTINGS.find((s) => s.key === key);
    this.#set(key, Math.min(max, Math.max(min, value)));
  }

  #listen() {
    const pane = this.stage.pane;
    pane.addEventListener("pointerdown", (event) => this.#down(event));
    pane.addEventListener("pointermove", (event) => this.#move(event));
    for (const end of ["pointerup", "pointercancel"]) {
      pane.addEventListener(end, () => this.#up());
    }
    pane.addEventListener("pointerleave", () => (this.ring.style.display = "none"));
  }

  #down(event) {
    this.stage.pane.setPointerCapture(event.pointerId);
    if (this.#armed && event.button === 0 && !event.ctrlKey) {
      this.#on = this.on.begin();
      const here = this.#point(event);
      const straight = event.shiftKey && this.#last?.photo === this.stage.source.photo();
      this.#points = straight ? [{ ...this.#last.point, pressure: here.pressure }, here] : [here];
      this.#painted();
    } else this.#pan = { x: event.clientX, y: event.clientY };
  }

  #move(event) {
    this.at = { x: event.offsetX, y: event.offsetY };
    this.#drawRing();
    if (this.#points) {
      for (const e of event.getCoalescedEvents?.() ?? [event]) this.#add(e);
      this.#painted();
    } else if (this.#pan) {
      this.stage.panBy(event.clientX - this.#pan.x, event.clientY - this.#pan.y);
      this.#pan = { x: event.clientX, y: event.clientY };
    }
  }

  /** Where the pointer is, and how hard a pen is pressed there; null for a mouse. */
  #point(event) {
    const pen = event.pointerType === "pen";
    if (pen) this.box.classList.add("has-pen");
    const pressure = pen ? Math.round(event.pressure * FINEST_PRESSURE) / FINEST_PRESSURE : null;
    return { ...this.stage.shareAt(event.offsetX, event.offsetY), pressure };
  }

  #add(event) {
    const p = this.#point(event);
    const last = this.#points[this.#points.length - 1];
    if (Math.hypot(p.x - last.x, p.y - last.y) >= NEAREST) this.#points.push(p);
  }

  #painted() {
    this.stage.paintUnderHand(this.#points, this.values.size / 100);
    this.on.progress(strokeOf(this.values, this.#points), this.#on);
  }

  #up() {
    this.#pan = null;
    this.finish();
  }

  /** Ends the stroke that is being painted, as when another photo comes under the hand. */
  finish() {
    if (!this.#points) return;
    const [stroke, on] = [strokeOf(this.values, this.#points), this.#on];
    this.#last = { point: this.#points.at(-1), photo: this.stage.source.photo() };
    this.#points = this.#on = null;
    this.on.done(stroke, on);
  }

  #drawRing() {
    if (!this.#armed || !this.at) {
      this.ring.style.display = "none";
      return;
    }
    const diameter = Math.max(4, this.stage.pixels(this.values.size / 100));
    const core = diameter * (1 - this.values.softness / 100);
    const style = this.ring.style;
    style.display = "block";
    style.width = style.height = `${diameter}px`;
    style.transform = `translate(${this.at.x - diameter / 2}px, ${this.at.y - diameter / 2}px)`;
    const inner = this.ring.firstElementChild.style;
    inner.width = inner.height = `${core}px`;
  }
}

// Tone ranges on a strip of the photo's histogram: a range is pulled to the right to lighten its tones, to
// the left to darken them.
import { pulled, spoken } from "./pull.js";
import { shown } from "./slider.js";
import { svg, tonesPath } from "./svg.js";

const W = 338;
const H = 64;
const FAR = 40; // units of the drawing that the whole way to the end of a setting is shown by
const GRIP_Y = 14;

/**
 * @param settings descriptors with tonesFrom and tonesTo
 * @param values by key
 * @param on { input(key, value), change(key, value, label) }
 * @returns { element, set(values), tones(histogram) }
 */
export function toneStrip(settings, values, on) {
  const element = svg("svg", { class: "tone-strip", viewBox: `0 0 ${W} ${H}` });
  const tones = svg("path", { class: "tones" }, element);
  let now = values;
  const zones = settings.map((s) => {
    const [left, right] = [s.tonesFrom * W, s.tonesTo * W];
    const middle = (left + right) / 2;
    const group = svg("g", { class: "tone-zone" }, element);
    const hand = svg("rect", { class: "zone-hand", x: left, y: 0, width: right - left, height: H }, group);
    hand.dataset.zone = s.key;
    svg("line", { class: "zone-edge", x1: right, x2: right, y1: 0, y2: H }, group);
    const way = svg("line", { class: "zone-way", x1: middle, y1: GRIP_Y, y2: GRIP_Y }, group);
    const grip = svg("circle", { class: "zone-grip", r: 5.5, cy: GRIP_Y }, group);
    const line = () => ({ x: 2 * FAR * element.getScreenCTM().a, y: 0 });
    pulled(
      hand,
      { setting: () => s, value: () => now[s.key], line },
      {
        input(value) {
          now = { ...now, [s.key]: value };
          draw();
          on.input(s.key, value);
        },
        change: (value) => on.change(s.key, value, s.label),
      },
    );
    return () => {
      const x = Math.min(W - 6, Math.max(6, middle + ((now[s.key] - s.start) / (s.max - s.start)) * FAR));
      way.setAttribute("x2", x);
      grip.setAttribute("cx", x);
      group.classList.toggle("is-moved", now[s.key] !== s.start);
      spoken(hand, s, now[s.key], `${shown(now[s.key], s.step)} ${s.unit}`);
    };
  });

  function draw() {
    for (const zone of zones) zone();
  }

  draw();
  return {
    element,
    set(next) {
      now = next;
      draw();
    },
    tones: (histogram) => tones.setAttribute("d", tonesPath(histogram, W, H)),
  };
}

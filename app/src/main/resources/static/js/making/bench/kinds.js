// Chooses what is hung next: a kind of veil, or a swatch. Each is shown small on the current photo,
// and on the stage while it is pointed at.
import { sayFault } from "../../base/web/say.js";
import { renderSmall } from "../../photo/stage/small.js";
import { Swatches } from "./swatches.js";

const ACROSS = 3;

/**
 * @param box element of the chooser
 * @param opener button that opens it
 * @param kinds with their samples
 * @param on { address: of rendering, body(veil): request with that veil hung, peek(veil | null),
 *   hang(kind), hangSwatch(swatch) }; a veil here is { kind, settings, mask? }
 * @returns { open(), close() }; close says whether it was open
 */
export function kindChooser(box, opener, kinds, on) {
  let opened = 0;
  let drawing = 0;
  const row = document.createElement("div");
  row.className = "kind-row";
  const offers = kinds.map((kind) => {
    const veil = { kind: kind.id, settings: kind.sample };
    const button = document.createElement("button");
    button.type = "button";
    button.dataset.kind = kind.id;
    const canvas = document.createElement("canvas");
    const name = Object.assign(document.createElement("b"), { textContent: kind.label });
    const purpose = Object.assign(document.createElement("span"), { textContent: kind.purpose });
    button.append(canvas, name, purpose);
    show(button, veil);
    button.addEventListener("click", () => {
      close();
      on.hang(kind);
    });
    row.append(button);
    return { canvas, veil };
  });
  const swatches = new Swatches({ show, hang: (swatch) => (close(), on.hangSwatch(swatch)), filled: () => draw() });
  box.append(swatches.element, row);

  function show(button, veil) {
    button.addEventListener("pointermove", () => on.peek(veil)); // a chooser that opens under the pointer is not pointed at
    button.addEventListener("focus", () => button.matches(":focus-visible") && on.peek(veil));
    for (const end of ["pointerleave", "blur"]) button.addEventListener(end, () => on.peek(null));
  }

  function draw() {
    const mine = opened;
    const wanted = [...offers, ...swatches.offers]
      .filter(({ canvas }) => canvas.dataset.opened !== String(mine))
      .map(({ canvas, veil }) => ({ canvas, body: on.body(veil), drawn: () => (canvas.dataset.opened = mine) }));
    const round = ++drawing;
    renderSmall(on.address, wanted, () => round === drawing && mine === opened && !box.hidden).catch(sayFault);
  }

  function open() {
    opened += 1;
    box.hidden = false;
    row.querySelector("button").focus();
    swatches.load();
  }

  function close() {
    const was = !box.hidden;
    const inside = box.contains(document.activeElement);
    box.hidden = true;
    if (was) on.peek(null);
    if (was && inside) opener.focus();
    return was;
  }

  opener.addEventListener("click", () => (box.hidden ? open() : close()));
  row.addEventListener("keydown", (event) => {
    const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -ACROSS, ArrowDown: ACROSS }[event.key];
    if (step) {
      event.preventDefault();
      const all = [...row.children];
      all[(all.indexOf(document.activeElement) + step + all.length) % all.length].focus();
    }
  });
  document.addEventListener("pointerdown", (event) => {
    if (!box.contains(event.target) && event.target !== opener) close();
  });
  return { open, close };
}

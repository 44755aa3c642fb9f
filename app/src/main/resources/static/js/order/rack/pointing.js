// Which effect the pointer rests on: it is shown beside the rack, and stays while the pointer is there.

const RESTS_MS = 90;

/** @param now () → id of the one that is pointed at, or 0 ; @param turn told another one */
export function pointing(page, now, turn) {
  let timer;
  page.addEventListener("pointerover", (event) => {
    const piece = event.target.closest?.("[data-rails] [data-effect]");
    const next = piece ? Number(piece.dataset.effect) : event.target.closest?.("[data-beside]") ? now() : 0;
    clearTimeout(timer);
    if (next === now() || document.body.classList.contains("is-dragging")) return;
    timer = setTimeout(() => turn(next), RESTS_MS);
  });
}

// Keys of the page of a proof sheet.

/** @param on { card, goOn(step), before(), closeAside(), bench() } */
export const sheetKeys = ({ card, goOn, before, closeAside, bench }) => [
  { keys: ["n"], says: "the next proof that is farthest over its limit", run: () => goOn(1) },
  { keys: ["b"], says: "the one before", run: before },
  {
    keys: ["p"],
    says: "the plain photo of the card while held",
    run: () => card.look.hold(true),
    up: () => card.look.hold(false),
  },
  { keys: ["escape"], says: "close the card", run: closeAside },
  { keys: ["o"], says: "open the proof of the card at the bench", run: () => card.isOpen && bench() },
];

// Hanging a veil: kinds and swatches to choose from, each shown on the photo before it is taken.
import { kindChooser } from "./kinds.js";
import { hung, newId, newVeil } from "./effect.js";

/**
 * @param box element that chooses
 * @param state of the page
 * @param kinds by id
 * @param on { address: of rendering, request(): what a request says of the photo, effect(), openId(),
 *   peek(effect, words), take(fn, label), open(id) }
 * @returns { button, chooser }
 */
export function hanging(box, state, kinds, on) {
  const button = Object.assign(document.createElement("button"), {
    className: "hang",
    type: "button",
    textContent: "Hang a veil",
  });
  const withNew = (veil) =>
    hung(on.effect(), { ...newVeil(kinds.get(veil.kind), on.effect(), "new"), ...veil, id: "new" }, on.openId());

  function hang(veil) {
    const behind = on.openId();
    on.take((e) => hung(e, veil, behind), `hang ${veil.name}`);
    on.open(veil.id);
  }

  const chooser = kindChooser(box, button, state.kinds, {
    address: on.address,
    body: (veil) => ({ ...on.request(), effect: withNew(veil) }),
    peek: (veil) => on.peek(veil && withNew(veil), veil && `With ${kinds.get(veil.kind).label} hung`),
    hang: (kind) => hang(newVeil(kind, on.effect(), newId())),
    hangSwatch: ({ name, veil }) => hang({ ...veil, name, id: newId() }),
  });
  return { button, chooser };
}

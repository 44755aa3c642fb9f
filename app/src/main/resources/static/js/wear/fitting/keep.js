// Keeps what is worn as a new effect, or hands it out under a code: which effects, veils and changes go
// in, under which name.
import { send } from "../../base/web/http.js";
import { leaveTo } from "../../base/web/leaving.js";
import { say } from "../../base/web/say.js";
import { effectOf } from "./together.js";
import { veilState } from "./wearing.js";

const SECTION = "nine-veils-keep-section";

/** Choice by which it goes to the stall. */
const CODE = "code";

/**
 * @param dialog element
 * @param id gives the id of the fitting
 * @param now { fitting(), painted(): strokes by effect and veil, pieces: by key, names: by key of what the
 *   is offered, store, offers, placeOf(kit, effect, section number): { key, number } or null, photo(): its
 *   id, redraw() }
 * @returns open()
 */
export function keeping(dialog, id, now) {
  const form = dialog.querySelector("form");
  const parts = dialog.querySelector("[data-parts]");
  const fault = dialog.querySelector(".fault");
  const told = dialog.querySelector("[data-keep-ask]");
  const button = dialog.querySelector("button.primary");
  const { name, section, note, over, photo } = form.elements;
  for (const [key, label] of now.names) over.add(new Option(`in the place of “${label}”`, key));
  for (const box of [over, parts]) box.addEventListener("change", () => ask("")); // what was told is no longer so
  section.addEventListener("change", () => localStorage.setItem(SECTION, section.value));

  /** Tells what would change, and lets the next press do it. */
  function ask(words) {
    const [out, replaces] = [over.value === CODE, over.value !== "" && over.value !== CODE];
    dialog.querySelector("[data-keep-new]").hidden = name.disabled = replaces;
    dialog.querySelector("[data-keep-section]").hidden = out;
    for (const part of ["code", "photo"]) dialog.querySelector(`[data-keep-${part}]`).hidden = !out;
    told.textContent = words;
    told.hidden = words === "";
    button.textContent = out ? "Hand it out" : words ? "Replace it" : "Keep it";
  }

  function part(worn) {
    const piece = now.pieces.get(worn.effect);
    const box = document.createElement("fieldset");
    box.dataset.part = worn.effect;
    const all = tick(piece.name, true);
    all.label.className = "tick is-effect";
    const veils = piece.effect.veils.map((veil) => {
      const { lifted } = veilState(now.fitting(), worn.effect, veil);
      const painted = worn.byBrush || (now.painted()[worn.effect]?.[veil.id] ?? 0) > 0;
      const becomes = worn.byBrush ? " · paint left out, becomes brush-on" : painted ? " · paint left out" : "";
      const made = tick(`${veil.name}${lifted || worn.lifted ? " · lifted" : ""}${becomes}`, true);
      made.box.dataset.veil = veil.id;
      return made;
    });
    const asWorn = tick("with the opacities, dials and lifted veils of this fitting", true);
    asWorn.box.dataset.asWorn = "";
    asWorn.label.classList.add("is-quiet");
    all.box.addEventListener("change", () => veils.forEach((v) => (v.box.checked = all.box.checked)));
    for (const v of veils) {
      v.box.addEventListener("change", () => (all.box.checked = veils.some((one) => one.box.checked)));
    }
    box.append(all.label, ...veils.map((v) => v.label), asWorn.label);
    return box;
  }

  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    const picks = [...parts.children].map((box) => ({
      effect: box.dataset.part,
      veils: [...box.querySelectorAll("[data-veil]")].filter((v) => v.checked).map((v) => v.dataset.veil),
      asWorn: box.querySelector("[data-as-worn]").checked,
    }));
    const called = { name: name.value.trim(), note: note.value, picks };
    const where = over.value
      ? { over: effectOf(over.value), sure: !told.hidden }
      : { name: name.value, section: Number(section.value) };
    try {
      await now.store.settled();
      if (over.value === CODE)
        return handedOut(await send("POST", `/api/stall/hand-out/${id()}`, { ...called, photo: photo.checked }));
      const answer = await send("POST", `/api/kits/keep/${id()}`, { ...called, ...where });
      if (answer.ask) return ask(answer.ask);
      dialog.close();
      await kept(answer, name.value.trim());
      say([answer.said, ...answer.details].join(" "), {
        label: "Open at the bench",
        action: () => leaveTo(`/bench/${answer.effect}`),
      });
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
    }
  });

  function handedOut({ said, page, details }) {
    dialog.close();
    say([said, ...details].join(" "), { label: "See it at the stall", action: () => leaveTo(page) });
  }

  /** What was kept is offered at once, if its kit is worn; what was replaced is worn as it is now. */
  async function kept(answer, called) {
    const place = now.placeOf(answer.kit, answer.effect, answer.number);
    if (place) now.offers.take({ ...answer, ...place }, called, now.photo());
    if (place && !answer.replaced) now.names.set(place.key, called);
    await now.store.lookAgain();
    now.redraw();
  }

  return () => {
    const { worn } = now.fitting();
    fault.hidden = true;
    over.value = "";
    ask("");
    const kept = localStorage.getItem(SECTION);
    if ([...section.options].some((o) => o.value === kept)) section.value = kept;
    parts.replaceChildren(...worn.filter((w) => now.pieces.has(w.effect)).map(part));
    note.value = worn
      .map((w) => now.pieces.get(w.effect)?.effect.note)
      .filter(Boolean)
      .join("\n");
    dialog.showModal();
  };
}

function tick(text, checked) {
  const label = document.createElement("label");
  label.className = "tick";
  const box = Object.assign(document.createElement("input"), { type: "checkbox", checked });
  label.append(box, text);
  return { label, box };
}

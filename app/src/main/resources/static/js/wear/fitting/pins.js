// Pins: remembered states of the fitting, to compare, to go back to, to discard.
import { send } from "../../base/web/http.js";
import { renderSmall } from "../../photo/stage/small.js";
import { whileLookedAt } from "../../base/web/looked-at.js";
import { sayFault } from "../../base/web/say.js";
import { NAME } from "../../base/web/rules.js";
import { mixing } from "./mixing.js";

export class Pins {
  /**
   * @param box element of the readings
   * @param api address of the fitting
   * @param state { pins: its own, pinsBeside: those of other photos }
   * @param on { store, address: of rendering, look(body | null, words), back(answer, name), changed(),
   *   photo(id): name of a photo }
   */
  constructor(box, api, state, on) {
    Object.assign(this, { box, api, all: state.pins, beside: state.pinsBeside, on });
    this.list = box.querySelector("[data-pin-list]");
    this.others = box.querySelector("[data-pins-beside]");
    this.others.addEventListener("toggle", () => this.#showBeside());
    this.mix = mixing(box.querySelector("[data-mix]"), {
      look: on.look,
      wear: (mix) => this.#wear(mix),
    });
    box.querySelector("[data-pin]").addEventListener("click", () => this.add());
    this.#show();
  }

  add() {
    return this.#ask("POST", "");
  }

  /** The pins as the four-up takes them: what is worn now, then each pin. */
  compared(now) {
    const pins = this.all.map((pin) => ({
      key: pin.id,
      name: pin.name,
      body: { pin: pin.id },
      choose: () => this.#back(pin),
    }));
    return [{ key: 0, name: "Now", body: now }, ...pins];
  }

  #ask(method, path, body) {
    return this.on.store.ask((name, on, at) => send(method, `${at}/pins${path}`, body, name));
  }

  /** Takes the pins as they are stored: { pins, pinsBeside }. */
  take({ pins, pinsBeside }) {
    if (JSON.stringify([pins, pinsBeside]) === JSON.stringify([this.all, this.beside])) return;
    Object.assign(this, { all: pins, beside: pinsBeside });
    this.#show();
    this.on.changed();
  }

  async #wear(mix) {
    const answer = await this.#ask("POST", "/mix", mix);
    if (answer) this.on.back(answer, "the mix");
  }

  async #back(pin) {
    const answer = await this.#ask("POST", `/${pin.id}/back`);
    if (answer) this.on.back(answer, pin.photo ? `${pin.name} of ${this.on.photo(pin.photo)}` : pin.name);
  }

  #show() {
    this.#fill(
      this.list,
      this.all,
      (pin) => this.#one(pin),
      () => this.all,
    );
    this.others.hidden = this.beside.length === 0;
    this.#showBeside();
    const beside = this.beside.map((pin) => ({ id: pin.id, name: `${pin.name}, ${this.on.photo(pin.photo)}` }));
    this.mix([...this.all, ...beside]);
  }

  /** Pins of other photos as they would look on this one; drawn only while they are seen. */
  #showBeside() {
    const seen = this.others.open && !this.others.hidden ? this.beside : [];
    this.#fill(
      this.others.querySelector("[data-pin-list-beside]"),
      seen,
      (pin) => this.#other(pin),
      () => (this.others.open ? this.beside : null),
    );
  }

  #fill(list, pins, make, now) {
    list.replaceChildren(...pins.map(make));
    const wanted = pins.map((pin, i) => ({ canvas: list.children[i].querySelector("canvas"), body: { pin: pin.id } }));
    renderSmall(this.on.address, wanted, () => pins === now()).catch(sayFault);
  }

  #wearing(pin, words) {
    const wear = document.createElement("button");
    wear.type = "button";
    wear.title = words;
    wear.setAttribute("aria-label", words);
    wear.append(document.createElement("canvas"));
    wear.addEventListener("click", () => this.#back(pin));
    whileLookedAt(
      wear,
      () => this.on.look({ pin: pin.id }, pin.name),
      () => this.on.look(null),
    );
    return wear;
  }

  /** A pin of another photo. */
  #other(pin) {
    const one = document.createElement("figure");
    one.className = "pin";
    one.dataset.pinId = pin.id;
    const photo = this.on.photo(pin.photo);
    const caption = Object.assign(document.createElement("figcaption"), { textContent: `${pin.name}, ${photo}` });
    one.append(this.#wearing(pin, `Wear ${pin.name} of ${photo}`), caption);
    return one;
  }

  #one(pin) {
    const one = document.createElement("figure");
    one.className = "pin";
    one.dataset.pinId = pin.id;
    const wear = this.#wearing(pin, `Wear ${pin.name} again`);
    const name = Object.assign(document.createElement("input"), { value: pin.name, maxLength: NAME });
    name.setAttribute("aria-label", "Name of the pin");
    name.addEventListener("change", () =>
      this.#ask("PUT", `/${pin.id}`, { name: name.value }).then((answer) => answer || this.#show()),
    );
    const away = Object.assign(document.createElement("button"), {
      type: "button",
      textContent: "×",
      title: "Discard",
      className: "away",
    });
    away.setAttribute("aria-label", `Discard ${pin.name}`);
    away.addEventListener("click", () => this.#ask("DELETE", `/${pin.id}`));
    one.append(wear, name, away);
    return one;
  }
}

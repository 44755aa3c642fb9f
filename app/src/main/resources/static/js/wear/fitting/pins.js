// Pins: remembered states of the fitting, to compare, to go back to, to discard.
import { send } from "../../base/web/http.js";
import { renderSmall } from "../../photo/stage/small.js";
import { whileLookedAt } from "../../base/web/looked-at.js";
import { sayFault } from "../../base/web/say.js";
import { NAME } from "../../base/web/rules.js";

export class Pins {
  /**
   * @param box element of the readings
   * @param api address of the fitting
   * @param on { store, address: of rendering, peek(id | null, name), back(answer, name), changed() }
   */
  constructor(box, api, all, on) {
    Object.assign(this, { box, api, all, on });
    this.list = box.querySelector("[data-pin-list]");
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

  /** Takes the pins as they are stored. */
  take(all) {
    if (JSON.stringify(all) === JSON.stringify(this.all)) return;
    this.all = all;
    this.#show();
    this.on.changed();
  }

  async #back(pin) {
    const answer = await this.#ask("POST", `/${pin.id}/back`);
    if (answer) this.on.back(answer, pin.name);
  }

  #show() {
    this.list.replaceChildren(...this.all.map((pin) => this.#one(pin)));
    const mine = this.all;
    const wanted = this.all.map((pin, i) => ({
      canvas: this.list.children[i].querySelector("canvas"),
      body: { pin: pin.id },
    }));
    renderSmall(this.on.address, wanted, () => mine === this.all).catch(sayFault);
  }

  #one(pin) {
    const one = document.createElement("figure");
    one.className = "pin";
    one.dataset.pinId = pin.id;
    const wear = document.createElement("button");
    wear.type = "button";
    wear.title = "Wear this again";
    wear.setAttribute("aria-label", `Wear ${pin.name} again`);
    wear.append(document.createElement("canvas"));
    wear.addEventListener("click", () => this.#back(pin));
    whileLookedAt(
      wear,
      () => this.on.peek(pin.id, pin.name),
      () => this.on.peek(null),
    );
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

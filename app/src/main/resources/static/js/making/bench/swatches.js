// The maker's swatches: settings of single veils that are kept to be hung again.
import { quietButton } from "../../base/web/button.js";
import { send } from "../../base/web/http.js";
import { say, sayFault } from "../../base/web/say.js";
import { takeBack } from "../../base/web/take-back.js";
import { NAME } from "../../base/web/rules.js";

const API = "/api/swatches";

/** Asks for a name and keeps a veil as a swatch. */
export function askToKeep(dialog, veil) {
  const form = dialog.querySelector("form");
  const ruled = veil.mask.cover === "by-rule";
  form.elements.name.value = veil.name;
  form.elements.rules.checked = ruled;
  form.elements.rules.closest("label").hidden = !ruled;
  const fault = form.querySelector(".fault");
  fault.hidden = true;
  form.onsubmit = async (event) => {
    event.preventDefault();
    const name = form.elements.name.value;
    let kept;
    try {
      kept = await send("POST", API, { name, veil, withRules: form.elements.rules.checked });
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
      return;
    }
    dialog.close();
    say(`“${name}” is among your swatches: they are there when you hang a veil.`, {
      action: () => takeBackSwatch(kept.undo.edit).catch(sayFault),
    });
  };
  dialog.showModal();
}

const takeBackSwatch = (edit) => takeBack((q) => send("POST", `${API}/undo?${q}`), { redo: false, edit });

export class Swatches {
  offers = [];
  #all = [];

  /** @param on { show(button, veil): how a swatch is looked at, hang(swatch), filled() } */
  constructor(on) {
    this.on = on;
    this.element = document.createElement("div");
    this.element.className = "swatches";
    this.element.hidden = true;
    const head = document.createElement("header");
    const title = Object.assign(document.createElement("b"), { textContent: "Swatches" });
    this.search = Object.assign(document.createElement("input"), {
      type: "search",
      placeholder: "Find a swatch …",
      className: "input",
    });
    this.search.setAttribute("aria-label", "Find a swatch");
    this.search.addEventListener("input", () => this.#draw());
    this.list = document.createElement("div");
    this.list.className = "swatch-list";
    head.append(title, this.search);
    this.element.append(head, this.list);
  }

  async load() {
    await this.#take(send("GET", API));
  }

  async #take(answer) {
    try {
      const taken = await answer;
      if (!taken) return null;
      this.#all = taken.swatches;
      this.#draw();
      return taken;
    } catch (error) {
      sayFault(error);
      return null;
    }
  }

  #draw() {
    this.element.hidden = this.#all.length === 0;
    const words = this.search.value.trim().toLowerCase();
    const found = this.#all.filter((s) => `${s.mark} ${s.name} ${s.veil.kind}`.toLowerCase().includes(words));
    this.offers = [];
    this.list.replaceChildren(...found.map((swatch) => this.#one(swatch)));
    if (found.length === 0) this.list.append(`No swatch is called “${this.search.value}”.`);
    this.on.filled();
  }

  #one(swatch) {
    const box = document.createElement("div");
    box.className = "kept";
    box.dataset.kind = swatch.veil.kind;
    box.dataset.swatch = swatch.id;
    const hang = document.createElement("button");
    hang.type = "button";
    hang.className = "kept-hang";
    const canvas = document.createElement("canvas");
    const words = document.createElement("span");
    words.append(Object.assign(document.createElement("b"), { textContent: swatch.name }));
    const ruled = swatch.veil.mask.cover === "by-rule" ? " · with its rules" : "";
    words.append(
      Object.assign(document.createElement("small"), {
        textContent: `${swatch.mark ? `${swatch.mark} · ` : ""}${swatch.veil.kind}${ruled}`,
      }),
    );
    hang.append(canvas, words);
    hang.addEventListener("click", () => this.on.hang(swatch));
    this.on.show(hang, swatch.veil);
    this.offers.push({ canvas, veil: swatch.veil });
    box.append(
      hang,
      quietButton("Rename", () => this.#rename(box, swatch)),
      quietButton("Delete", () => this.#remove(swatch)),
    );
    return box;
  }

  #rename(box, swatch) {
    const name = Object.assign(document.createElement("input"), {
      className: "input",
      value: swatch.name,
      maxLength: NAME,
    });
    name.setAttribute("aria-label", "Name of the swatch");
    name.addEventListener("change", () => this.#take(send("PUT", `${API}/${swatch.id}`, { name: name.value })));
    name.addEventListener("blur", () => this.#draw());
    name.addEventListener("keydown", (event) => {
      if (event.key === "Escape" || event.key === "Enter") name.blur();
      event.stopPropagation();
    });
    box.replaceChildren(name);
    name.select();
  }

  async #remove(swatch) {
    const answer = await this.#take(send("DELETE", `${API}/${swatch.id}`));
    if (answer) say(`“${swatch.name}” was deleted.`, { action: () => this.#take(takeBackSwatch(answer.undo.edit)) });
  }
}

// The pictures of a card: plain and finished under a wiper, the plain one while held, or a part of
// both at the photo's own size.

const CLOSE = 340; // pixels of a part

export class CardLook {
  /** @param root holds [data-plain], [data-finished], a range as wiper, buttons to hold and to look closer */
  constructor(root) {
    this.root = root;
    const find = (name) => root.querySelector(`[data-look-${name}]`);
    Object.assign(this, {
      plain: find("plain"),
      finished: find("finished"),
      wiper: find("wiper"),
      closer: find("closer"),
      frame: find("frame"),
    });
    this.wiper.addEventListener("input", () => this.#wipe());
    const hold = find("hold");
    for (const [name, on] of [
      ["pointerdown", true],
      ["pointerup", false],
      ["pointerleave", false],
      ["blur", false],
    ])
      hold.addEventListener(name, () => this.hold(on));
    hold.addEventListener("keydown", (event) => event.key === " " && this.hold(true));
    hold.addEventListener("keyup", () => this.hold(false));
    this.closer.addEventListener("click", () => {
      this.close = !this.close;
      this.closer.setAttribute("aria-pressed", String(this.close));
      this.#address();
    });
    this.close = false;
    this.#wipe();
  }

  /** @param photo { width, height } */
  show(effect, photo, { width, height }, region) {
    const same = this.effect === effect && this.photo === photo;
    Object.assign(this, { effect, photo, region, turn: same ? this.turn + 1 : 0, upright: height > width });
    this.closer.textContent = region ? `1:1 on ${region}` : "1:1";
    this.#address();
  }

  #address() {
    const at = `/proofs/pictures/${this.effect}/${this.photo}`;
    const part = new URLSearchParams({ region: this.region, width: CLOSE, height: CLOSE });
    this.frame.classList.toggle("is-close", this.close);
    this.finished.src = this.close ? `${at}/close?${part}&turn=${this.turn}` : `${at}?v=card${this.turn}`;
    this.plain.src = this.close ? `${at}/close?${part}&plain=true` : `/photos/${this.photo}/small`;
  }

  #wipe() {
    this.frame.style.setProperty("--wipe", `${this.wiper.value}%`);
  }

  hold(on) {
    this.frame.classList.toggle("is-held", on);
  }
}

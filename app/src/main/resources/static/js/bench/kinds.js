// Chooses the kind of a veil that is to be hung.

const MARGIN = 18;

/** @returns { open(), close() }; close says whether it was open */
export function kindChooser(box, opener, kinds, choose) {
  for (const kind of kinds) {
    const button = document.createElement("button");
    button.type = "button";
    button.dataset.kind = kind.id;
    const name = document.createElement("b");
    name.textContent = kind.label;
    const purpose = document.createElement("span");
    purpose.textContent = kind.purpose;
    button.append(name, purpose);
    button.addEventListener("click", () => {
      close();
      choose(kind);
    });
    box.append(button);
  }

  function open() {
    box.hidden = false;
    const room = box.parentElement.clientWidth - box.offsetWidth - MARGIN;
    box.style.left = `${Math.max(MARGIN, Math.min(opener.offsetLeft, room))}px`;
    box.querySelector("button").focus();
  }

  function close() {
    const was = !box.hidden;
    box.hidden = true;
    if (was && box.contains(document.activeElement)) opener.focus();
    return was;
  }

  opener.addEventListener("click", () => (box.hidden ? open() : close()));
  box.addEventListener("keydown", (event) => {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (step) {
      const all = [...box.children];
      all[(all.indexOf(document.activeElement) + step + all.length) % all.length].focus();
    }
  });
  document.addEventListener("pointerdown", (event) => {
    if (!box.contains(event.target) && event.target !== opener) close();
  });
  return { open, close };
}

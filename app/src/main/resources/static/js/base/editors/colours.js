// A setting that is a list of colours, picked on the photo.

/**
 * @param setting { key, label, most }
 * @param value list of #rrggbb
 * @param on { change(value), pick(): promise of a colour of the plain photo, or null }
 * @returns { element, set(value) }
 */
export function colours(setting, value, on) {
  const element = document.createElement("div");
  element.className = "setting is-colours";
  element.dataset.key = setting.key;
  element.setAttribute("role", "group");
  element.setAttribute("aria-label", setting.label);
  const list = document.createElement("span");
  list.className = "picked";
  const pick = document.createElement("button");
  pick.type = "button";
  pick.className = "button small";
  pick.textContent = "Pick on the photo";
  let shown = [];
  pick.addEventListener("click", async () => {
    pick.setAttribute("aria-pressed", "true");
    const colour = await on.pick();
    pick.removeAttribute("aria-pressed");
    if (colour && !shown.includes(colour)) on.change([...shown, colour]);
  });
  element.append(list, pick);

  function set(next) {
    if (shown.join() === next.join() && list.childElementCount > 0) return;
    shown = next;
    pick.disabled = next.length >= setting.most;
    list.replaceChildren(...next.map(swatch));
    if (next.length === 0) list.append(Object.assign(document.createElement("em"), { textContent: "no colour yet" }));
  }

  function swatch(colour) {
    const made = document.createElement("button");
    made.type = "button";
    made.className = "swatch";
    made.style.background = colour;
    made.title = `${colour}: take it away`;
    made.setAttribute("aria-label", `Take ${colour} away`);
    made.addEventListener("click", () => on.change(shown.filter((c) => c !== colour)));
    return made;
  }

  set(value);
  return { element, set };
}

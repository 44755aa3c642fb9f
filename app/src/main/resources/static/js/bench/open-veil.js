// What an open veil shows beside its cloth: name, blend mode, where it covers, its settings.
import { settingsEditor } from "../editors/settings.js";
import { maskEditor } from "./mask-editor.js";
import { coveringBy, ruled } from "./rules.js";

const WIDTHS = { curve: 700, soft: 870, crisp: 720, colour: 740, ink: 770, tint: 880, edge: 800, overlay: 760, light: 830 };

function element(name, fields = {}, ...children) {
  const made = Object.assign(document.createElement(name), fields);
  made.append(...children);
  return made;
}

const button = (text, title, run, classes = "button quiet small") => {
  const made = element("button", { type: "button", textContent: text, title, className: classes });
  made.addEventListener("click", run);
  return made;
};

/**
 * @param veil the veil
 * @param kind its descriptors
 * @param blends blend modes
 * @param rules { kinds, most, guards, edges }: what masks are made of
 * @param on { change(fields, label), input(key, value), mask(mask), setting(key, value, label),
 *   start(values, label), pick(): a colour, others(): veils, copyMask(from), lift, double, drop,
 *   close, clear }
 * @returns { element, show(veil), tones(histogram) }
 */
export function openVeil(veil, kind, blends, rules, on) {
  const name = element("input", { className: "title-edit", maxLength: 60, value: veil.name });
  name.setAttribute("aria-label", "Name of the veil");
  name.addEventListener("change", () => {
    if (name.value.trim() === "") name.value = name.defaultValue;
    else on.change({ name: name.value.trim() }, "name");
  });
  const blend = element("select", { title: "Blend mode" });
  blend.setAttribute("aria-label", "Blend mode");
  blend.append(...blends.map((b) => element("option", { value: b.id, textContent: b.label })));
  blend.addEventListener("change", () => on.change({ blend: blend.value }, "blend mode"));
  const lift = button("Lift", "V", on.lift);
  const header = element(
    "header",
    {},
    name,
    element("span", { className: "kind", textContent: kind.label }),
    blend,
    lift,
    button("Double", "Hang a copy behind it", on.double),
    button("Drop", "Delete", on.drop),
    button("Close", "Esc", on.close),
  );

  const covers = element("span", { className: "either" });
  covers.setAttribute("role", "group");
  covers.setAttribute("aria-label", "Where it covers");
  const choices = [
    ["everywhere", "Everywhere"],
    ["brush-on", "Brush on"],
    ["by-rule", "By rule"],
  ].map(([cover, label]) => {
    const made = button(label, "", () => choose(cover), "");
    made.dataset.cover = cover;
    return made;
  });
  function choose(cover) {
    if (cover === shown.mask.cover) return;
    lookAt(cover === "by-rule");
    const own = coveringBy(shown.mask, cover);
    on.change({ mask: cover === "by-rule" ? { ...own, ...ruled(rules.kinds[0]) } : own }, "mask");
  }
  covers.append(...choices);
  const meant = element("input", { className: "meant", maxLength: 40, placeholder: "eyes, skin …" });
  meant.addEventListener("change", () => on.change({ meantFor: meant.value.trim() }, "meant for"));
  const meantFor = element("label", {}, "Meant for", meant);
  const clear = button("Clear the paint", "Take all paint off, on this photo", on.clear);
  const cover = element("div", { className: "cover" }, covers, meantFor, clear);

  const sides = element("span", { className: "either" });
  sides.setAttribute("role", "group");
  sides.setAttribute("aria-label", "What is edited");
  const [settingsSide, maskSide] = ["Settings", "Mask"].map((text) => button(text, "", () => lookAt(text === "Mask"), ""));
  maskSide.dataset.side = "mask";
  sides.append(settingsSide, maskSide);
  cover.append(sides);
  const maskBox = maskEditor(rules, {
    input: on.mask,
    change: (mask, label) => on.change({ mask }, label),
    pick: on.pick,
    others: on.others,
    copy: on.copyMask,
  });

  const editor = settingsEditor(kind, veil.settings, { input: on.input, change: on.setting, start: on.start });
  const settings = element("div", { className: "settings" }, editor.element);
  const masks = element("div", { className: "settings" }, maskBox.element);
  let shown = veil;

  /** Settings of the kind, or the mask: one of the two is in sight. */
  function lookAt(atMask) {
    settings.hidden = atMask;
    masks.hidden = !atMask;
    settingsSide.setAttribute("aria-pressed", String(!atMask));
    maskSide.setAttribute("aria-pressed", String(atMask));
    if (atMask) maskBox.offer();
  }
  const panel = element("div", { className: "open" }, header, cover, settings, masks);
  lookAt(false);
  panel.addEventListener("keydown", (event) => {
    if (event.key === "Escape" && event.target.matches("input, select")) event.target.blur();
  });

  function show(next, painted) {
    shown = next;
    maskBox.show(next.mask, painted);
    if (document.activeElement !== name) name.value = name.defaultValue = next.name;
    blend.value = next.blend;
    lift.textContent = next.lifted ? "Let down" : "Lift";
    for (const made of choices) {
      made.setAttribute("aria-pressed", String(made.dataset.cover === next.mask.cover));
    }
    meantFor.hidden = next.mask.cover !== "brush-on";
    if (document.activeElement !== meant) meant.value = next.meantFor;
    clear.hidden = !painted;
    editor.set(next.settings);
  }

  return { element: panel, show, tones: editor.tones, width: WIDTHS[kind.id] ?? 600 };
}

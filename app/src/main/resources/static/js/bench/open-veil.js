// What an open veil shows beside its cloth: name, blend mode, where it covers, its settings.
import { settingsEditor } from "../editors/settings.js";
import { ruleEditor } from "./rule-editor.js";
import { ruled } from "./rules.js";

const WIDTHS = { curve: 690, colour: 740, ink: 720, tint: 870, edge: 790, overlay: 720, light: 830 };

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
 * @param rules { kinds, most }: sorts of rule that masks are made of
 * @param on { change(fields, label), input(key, value), mask(mask), setting(key, value, label),
 *   lift, double, drop, close, clear }
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
    on.change({ mask: cover === "by-rule" ? ruled(rules.kinds[0]) : { cover } }, "mask");
  }
  covers.append(...choices);
  const meant = element("input", { className: "meant", maxLength: 40, placeholder: "eyes, skin …" });
  meant.addEventListener("change", () => on.change({ meantFor: meant.value.trim() }, "meant for"));
  const meantFor = element("label", {}, "Meant for", meant);
  const clear = button("Clear the paint", "Take all paint off, on this photo", on.clear);
  const cover = element("div", { className: "cover" }, covers, meantFor, clear);

  const sides = element("span", { className: "either" });
  const [settingsSide, rulesSide] = ["Settings", "Rules"].map((text) => button(text, "", () => lookAt(text === "Rules"), ""));
  sides.append(settingsSide, rulesSide);
  cover.append(sides);
  const ruleBox = ruleEditor(rules.kinds, rules.most, {
    input: on.mask,
    change: (mask, label) => on.change({ mask }, label),
  });

  const editor = settingsEditor(kind, veil.settings, { input: on.input, change: on.setting });
  const settings = element("div", { className: "settings" }, editor.element);
  const masks = element("div", { className: "settings" }, ruleBox.element);
  let shown = veil;

  /** Settings of the kind, or rules of the mask: one of the two is in sight. */
  function lookAt(atRules) {
    settings.hidden = atRules;
    masks.hidden = !atRules;
    settingsSide.setAttribute("aria-pressed", String(!atRules));
    rulesSide.setAttribute("aria-pressed", String(atRules));
  }
  const panel = element("div", { className: "open" }, header, cover, settings, masks);
  lookAt(false);
  panel.addEventListener("keydown", (event) => {
    if (event.key === "Escape" && event.target.matches("input, select")) event.target.blur();
  });

  function show(next, painted) {
    shown = next;
    const byRule = next.mask.cover === "by-rule";
    sides.hidden = !byRule;
    if (!byRule) lookAt(false);
    ruleBox.show(next.mask);
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

// What an open veil shows beside the photo: name, blend mode, where it covers, and one side of it at
// a time: its settings, its mask, or its dials.
import { settingsEditor } from "../../base/editors/settings.js";
import { blendChooser } from "./blends.js";
import { dialsEditor } from "./dials.js";
import { lookingButtons } from "./looking.js";
import { maskEditor } from "./mask-editor.js";
import { coveringBy, ruled } from "../../photo/mask/rules.js";
import { NAME } from "../../base/web/rules.js";

const SIDES = ["Settings", "Mask", "Dials"];

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

function either(label, buttons) {
  const made = element("span", { className: "either" }, ...buttons);
  made.setAttribute("role", "group");
  made.setAttribute("aria-label", label);
  return made;
}

/**
 * @param veil the veil
 * @param kind its descriptors
 * @param blends blend modes
 * @param rules { kinds, most, guards, edges }: what masks are made of
 * @param begin the side that is shown first
 * @param on { change(fields, label), input(key, value), mask(mask), setting(key, value, label),
 *   start(values, label), pick(): a colour, others(): veils, toFollow(): veils, copyMask(from), lift, double, drop,
 *   close, paint(how), blend(id | null): peeked at, look(way), dials(all dials, label),
 *   tryDial(dial, value), kindOf(veil), keep(), side(name) }
 * @returns { element, show(veil, { painted, way, effect }), tones(histogram), side }
 */
export function openVeil(veil, kind, blends, rules, begin, on) {
  const name = element("input", { className: "title-edit", maxLength: NAME, value: veil.name });
  name.setAttribute("aria-label", "Name of the veil");
  name.addEventListener("change", () => {
    if (name.value.trim() === "") name.value = name.defaultValue;
    else on.change({ name: name.value.trim() }, "name");
  });
  const blend = blendChooser(blends, { peek: on.blend, choose: (id) => on.change({ blend: id }, "blend mode") });
  const lift = button("Lift", "V", on.lift);
  const header = element(
    "header",
    {},
    name,
    element("span", { className: "kind", textContent: kind.label }),
    button("Close", "Esc", on.close),
  );
  const acts = element(
    "div",
    { className: "acts" },
    blend.element,
    lift,
    button("Double", "Hang a copy behind it", on.double),
    button("Keep", "Keep its settings as a swatch", on.keep),
    button("Drop", "Delete", on.drop),
  );

  const choices = [
    ["everywhere", "Everywhere"],
    ["brush-on", "Brush on"],
    ["by-rule", "By rule"],
    ["as-veil", "As another"],
  ].map(([cover, label]) => {
    const made = button(label, "", () => choose(cover), "");
    made.dataset.cover = cover;
    return made;
  });
  function choose(cover) {
    if (cover === shown.mask.cover) return;
    if (cover === "as-veil") return follow(nearest(on.toFollow()));
    if (cover === "by-rule") lookAt("Mask");
    const own = coveringBy(shown.mask, cover);
    on.change({ mask: cover === "by-rule" ? { ...own, ...ruled(rules.kinds[0]) } : own }, "mask");
  }
  const nearest = (veils) => veils.findLast((v) => v.mask.cover === "brush-on") ?? veils.at(-1);
  const follow = (other) => on.change({ mask: { cover: "as-veil", veil: other.id } }, `mask, as ${other.name},`);
  const followed = element("select", { title: "Covers where that veil does; what is painted here is painted there" });
  followed.dataset.follows = "";
  followed.addEventListener("change", () => follow(on.toFollow().find((v) => v.id === followed.value)));
  const follows = element("label", {}, "Covers as", followed);
  const meant = element("select", {
    className: "meant",
    title: "The region of a photo that it is brushed onto; proofs try it there",
  });
  meant.addEventListener("change", () => on.change({ meantFor: meant.value }, "meant for"));
  const meantFor = element("label", {}, "Meant for", meant);
  const looking = lookingButtons(on.look);
  const sideButtons = SIDES.map((text) => {
    const made = button(text, "", () => lookAt(text), "");
    made.dataset.side = text.toLowerCase();
    return made;
  });
  const cover = element(
    "div",
    { className: "cover" },
    either("Where it covers", choices),
    meantFor,
    follows,
    looking.element,
    either("What is edited", sideButtons),
  );

  const maskBox = maskEditor(rules, {
    input: on.mask,
    change: (mask, label) => on.change({ mask }, label),
    pick: on.pick,
    others: on.others,
    copy: on.copyMask,
    paint: on.paint,
  });
  const editor = settingsEditor(kind, veil.settings, { input: on.input, change: on.setting, start: on.start });
  const dials = dialsEditor(on.kindOf, rules.kinds, { change: on.dials, try: on.tryDial });
  const boxes = [editor, maskBox, dials].map((made) => element("div", { className: "settings" }, made.element));
  let shown = veil;
  let side = begin;

  function lookAt(next) {
    side = next;
    SIDES.forEach((text, i) => {
      boxes[i].hidden = text !== next;
      sideButtons[i].setAttribute("aria-pressed", String(text === next));
    });
    if (next === "Mask") maskBox.offer();
    on.side(next);
  }
  const panel = element("div", { className: "open" }, header, acts, cover, ...boxes);
  panel.addEventListener("keydown", (event) => {
    if (event.key === "Escape" && event.target.matches("input, select")) event.target.blur();
  });

  function show(next, { painted, way, effect }) {
    shown = next;
    maskBox.show(next.mask, painted);
    if (document.activeElement !== name) name.value = name.defaultValue = next.name;
    blend.show(next.blend);
    lift.textContent = next.lifted ? "Let down" : "Lift";
    for (const made of choices) {
      made.setAttribute("aria-pressed", String(made.dataset.cover === next.mask.cover));
    }
    meantFor.hidden = next.mask.cover !== "brush-on";
    const offered = on.toFollow();
    choices.at(-1).hidden = offered.length === 0;
    follows.hidden = next.mask.cover !== "as-veil";
    if (!follows.hidden) {
      followed.replaceChildren(...offered.map((v) => new Option(v.name, v.id, false, v.id === next.mask.veil)));
    }
    const regions =
      rules.regions.includes(next.meantFor) || next.meantFor === "" ? rules.regions : [...rules.regions, next.meantFor];
    if (meant.length !== regions.length + 1)
      meant.replaceChildren(new Option("no region", ""), ...regions.map((r) => new Option(r, r)));
    meant.value = next.meantFor;
    looking.show(way, next.mask.cover !== "everywhere" || painted);
    editor.set(next.settings);
    dials.show(next, effect);
  }

  const made = {
    element: panel,
    show,
    tones(histogram) {
      editor.tones(histogram);
      maskBox.tones(histogram);
    },
    get side() {
      return side;
    },
  };
  lookAt(begin);
  return made;
}

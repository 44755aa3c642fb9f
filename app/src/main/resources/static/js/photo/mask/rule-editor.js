// The rules of a veil's mask, side by side: how each is joined to the ones before it, whether it is
// turned round, and its settings.
import { editor } from "../../base/editors/editor.js";
import { toneRange } from "../../base/editors/tone-range.js";
import { quietButton } from "../../base/web/button.js";
import { newRule, ruleChanged, withRule, withoutRule } from "./rules.js";

const JOINS = [
  ["and", "and"],
  ["or", "or"],
  ["minus", "minus"],
];
const FIRST = [
  ["and", "take"],
  ["minus", "keep off"],
]; // from everything

/**
 * @param kinds sorts of rule with their descriptors
 * @param most most rules of a mask
 * @param guards [{ label, rule }]: rules that keep a veil off something, ready made
 * @param on { input(mask): while a slider moves, change(mask, label): when it rests, pick }
 * @returns { element, show(mask), tones(histogram) }
 */
export function ruleEditor({ kinds, most, guards }, on) {
  const element = document.createElement("div");
  element.className = "rules";
  let mask = null;
  let shape = "";
  let editors = [];
  let ranges = [];
  let histogram = null;

  function show(next) {
    mask = next;
    const rules = next.rules ?? [];
    const now = JSON.stringify(rules.map((r) => [r.kind, r.join, r.inverted]));
    if (now !== shape) {
      shape = now;
      editors = [];
      ranges = [];
      element.replaceChildren(...rules.map(column), ...(rules.length < most ? [adder()] : []));
    }
    rules.forEach((rule, i) => {
      ranges[i]?.set(rule.settings);
      for (const [key, made] of editors[i]) made.set(rule.settings[key]);
    });
  }

  function column(rule, index) {
    const kind = kinds.find((k) => k.id === rule.kind);
    const box = document.createElement("section");
    box.className = "rule-box";
    box.dataset.rule = rule.kind;
    const head = document.createElement("header");
    head.append(joinChooser(rule, index));
    const name = document.createElement("b");
    name.textContent = kind.label;
    const invert = button(rule.inverted ? "Inverted" : "Invert", rule.inverted, () =>
      on.change(ruleChanged(mask, index, { inverted: !mask.rules[index].inverted }), "inverted rule"),
    );
    invert.dataset.act = `invert ${index}`;
    head.append(
      name,
      invert,
      button("Drop", false, () => on.change(withoutRule(mask, index), "dropped rule")),
    );
    box.append(head);
    editors[index] = new Map();
    if (rule.kind === "brightness") {
      const give = (values) => ruleChanged(mask, index, { settings: values });
      const range = toneRange({
        input: (values) => on.input(give(values)),
        change: (values) => on.change(give(values), "range of brightness"),
      });
      if (histogram) range.tones(histogram);
      ranges[index] = range;
      box.append(range.element);
    }
    for (const setting of kind.settings) {
      const give = (value) =>
        ruleChanged(mask, index, { settings: { ...mask.rules[index].settings, [setting.key]: value } });
      const made = editor(setting, rule.settings[setting.key], {
        input: (value) => on.input(give(value)),
        change: (value) => on.change(give(value), `${setting.label} of the mask`),
        pick: on.pick,
      });
      editors[index].set(setting.key, made);
      box.append(made.element);
    }
    if (kind.caution) box.append(cautious(kind.caution));
    return box;
  }

  function joinChooser(rule, index) {
    const select = document.createElement("select");
    select.setAttribute("aria-label", index === 0 ? "Takes or keeps off" : "Joined by");
    for (const [join, word] of index === 0 ? FIRST : JOINS)
      select.add(new Option(word, join, false, join === rule.join));
    select.addEventListener("change", () => on.change(ruleChanged(mask, index, { join: select.value }), "joined rule"));
    return select;
  }

  function adder() {
    const box = document.createElement("div");
    box.className = "rule-adder";
    const own = adderColumn("Add a rule");
    for (const kind of kinds) {
      own.append(
        button(kind.label, false, () => on.change(withRule(mask, newRule(kind)), `rule ${kind.label.toLowerCase()}`)),
      );
    }
    const off = adderColumn("Keep it off");
    for (const guard of guards) {
      off.append(
        button(guard.label, false, () =>
          on.change(withRule(mask, guard.rule), `guard of ${guard.label.toLowerCase()}`),
        ),
      );
      if (guard.caution) off.append(cautious(`${guard.label}: ${guard.caution}`));
    }
    box.append(own, off);
    return box;
  }

  return {
    element,
    show,
    tones(next) {
      histogram = next;
      for (const range of ranges) range?.tones(next);
    },
  };
}

function cautious(text) {
  return Object.assign(document.createElement("p"), { className: "rule-caution", textContent: text });
}

function adderColumn(title) {
  const made = document.createElement("div");
  made.append(Object.assign(document.createElement("span"), { textContent: title }));
  return made;
}

function button(text, pressed, run) {
  const made = quietButton(text, run);
  if (pressed) made.setAttribute("aria-pressed", "true");
  return made;
}

// The mask of a veil: its rules where it has any, its edge, and taking over another veil's mask.
import { editor } from "../editors/editor.js";
import { titled } from "../editors/titled.js";
import { ruleEditor } from "./rule-editor.js";

/**
 * @param rules { kinds, most, guards, edges: descriptors of what can be done to the edge }
 * @param on { input(mask), change(mask, label), pick(): a colour, others(): veils, copy(from) }
 * @returns { element, show(mask, painted), offer(): other veils anew }
 */
export function maskEditor(rules, on) {
  const element = document.createElement("div");
  element.className = "mask-editor";
  const ruleBox = ruleEditor(rules, on);
  const edgeBox = titled("Edge");
  const edges = new Map();
  let mask = {};
  for (const setting of rules.edges) {
    const made = editor(setting, setting.start, {
      input: (value) => on.input({ ...mask, [setting.key]: value }),
      change: (value) => on.change({ ...mask, [setting.key]: value }, `${setting.label.toLowerCase()} the mask`),
    });
    edges.set(setting, made);
    edgeBox.append(made.element);
  }
  const from = document.createElement("select");
  from.dataset.copyMask = "";
  from.setAttribute("aria-label", "Cover where another veil does");
  from.addEventListener("change", () => from.value && on.copy(from.value));
  const copyBox = titled("As another veil", from);
  const side = document.createElement("div");
  side.className = "mask-edge";
  side.append(edgeBox, copyBox);
  element.append(side, ruleBox.element);

  function offer() {
    from.replaceChildren(new Option("Copy the mask of …", ""));
    for (const veil of on.others()) from.add(new Option(veil.name, veil.id));
    from.disabled = from.options.length === 1;
  }

  function show(next, painted) {
    mask = next;
    ruleBox.element.hidden = next.cover !== "by-rule";
    ruleBox.show(next);
    edgeBox.hidden = next.cover === "everywhere" && !painted;
    for (const [setting, made] of edges) made.set(next[setting.key] ?? setting.start);
  }

  return { element, show, offer };
}

// The mask of a veil: its rules where it has any, its paint on this photo, its edge, and taking over
// another veil's mask.
import { editor } from "../../base/editors/editor.js";
import { titled } from "../../base/editors/titled.js";
import { ruleEditor } from "../../photo/mask/rule-editor.js";

const PAINT = [
  ["off", "Brush off", "Take the brush to this veil: it hides where it paints"],
  ["middle", "All but the middle", "Leave it out of the middle of the picture"],
  ["fill", "Fill", "Show all of the veil on this photo"],
  ["invert", "Invert", "Turn round what is painted on this photo"],
  ["clear", "Clear", "Take all paint off on this photo"],
];

/**
 * @param rules { kinds, most, guards, edges: descriptors of what can be done to the edge }
 * @param on { input(mask), change(mask, label), pick(): a colour, others(): veils, copy(from),
 *   paint(how): fill, invert or clear }
 * @returns { element, show(mask, painted), offer(): other veils anew, tones(histogram) }
 */
export function maskEditor(rules, on) {
  const element = document.createElement("div");
  element.className = "mask-editor";
  const ruleBox = ruleEditor(rules, on);
  const paint = document.createElement("div");
  paint.className = "paint-all";
  const buttons = new Map(
    PAINT.map(([how, text, title]) => {
      const made = Object.assign(document.createElement("button"), {
        type: "button",
        className: "button small",
        textContent: text,
        title,
      });
      made.dataset.paint = how;
      made.addEventListener("click", () => on.paint(how));
      paint.append(made);
      return [how, made];
    }),
  );
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
  const side = document.createElement("div");
  side.className = "mask-edge";
  side.append(titled("Paint on this photo", paint), edgeBox, from);
  const counts = Object.assign(document.createElement("p"), {
    className: "rule-caution",
    textContent: "What is painted counts where these rules select:",
  });
  element.append(side, counts, ruleBox.element);

  function offer() {
    from.replaceChildren(new Option("Copy the mask of …", ""));
    for (const veil of on.others()) from.add(new Option(veil.name, veil.id));
    from.disabled = from.options.length === 1;
  }

  function show(next, painted) {
    mask = next;
    const follows = next.cover === "as-veil"; // its rules and its edge are the other's
    ruleBox.element.hidden = follows;
    if (!follows) ruleBox.show(next);
    counts.hidden = next.cover !== "brush-on" || !next.rules?.length;
    edgeBox.hidden = follows || (next.cover === "everywhere" && !painted);
    buttons.get("off").hidden = next.cover !== "everywhere" || painted;
    buttons.get("middle").hidden = next.cover === "brush-on" || follows;
    buttons.get("fill").hidden = next.cover === "everywhere";
    buttons.get("clear").disabled = !painted;
    buttons.get("invert").disabled = next.cover !== "brush-on" && !painted;
    for (const [setting, made] of edges) made.set(next[setting.key] ?? setting.start);
  }

  return { element, show, offer, tones: ruleBox.tones };
}

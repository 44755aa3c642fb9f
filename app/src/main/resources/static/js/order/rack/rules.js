// A section's name, rule and opposites, said in sentences, with a try-out by the very rules that count
// when a photo wears effects.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { hanging, numberOf } from "./rack-state.js";
import { NAME } from "../../base/web/rules.js";

const choice = (label, value, some) => {
  const made = element("select", { className: "input" }, ...some.map(([v, words]) => new Option(words, v)));
  made.value = value;
  made.setAttribute("aria-label", label);
  return made;
};

const TOGETHER = [
  ["", "is worn with it"],
  ["off", "is taken off, and takes it off"],
  ["asks", "is worn with it after asking"],
];

/** Effects to try at first: one of the section and one that the rule may concern. */
function firstTwo(rack, section) {
  const others = rack.sections.filter((s) => s.id !== section.id).flatMap((s) => s.effects);
  const own = section.effects;
  return [own[0] ?? others[0], own[1] ?? others[0] ?? own[0]];
}

/**
 * @param section as the rack has it ; @param how { rack, rules, marks, act(path, body): promise }
 */
export function editRules(section, { rack, rules, marks, act }) {
  const name = element("input", {
    className: "input",
    name: "name",
    required: true,
    maxLength: NAME,
    value: section.name,
    autocomplete: "off",
  });
  const mark = choice("Mark", section.mark, [["", "no mark"], ...marks.map((m) => [m.id, `${m.sign} ${m.word}`])]);
  const picks = rules.map((r) => {
    const radio = element("input", { type: "radio", name: "rule", value: r.id, checked: r.id === section.rule });
    return element(
      "label",
      { className: "rule-choice" },
      radio,
      element("span", {}, element("b", { textContent: r.label }), element("small", { textContent: r.sentence })),
    );
  });
  const before = new Map(rack.against[section.id] ?? []);
  const others = rack.sections.filter((s) => s.id !== section.id);
  const against = others.map((s) => [
    s.id,
    choice(`How it goes with ${s.name}`, before.has(s.id) ? (before.get(s.id) ? "asks" : "off") : "", TOGETHER),
  ]);
  const every = hanging(rack).map((id) => [id, `${numberOf(rack, id)} ${rack.effects.find((e) => e.id === id).name}`]);
  const [a, b] = firstTwo(rack, section);
  const [first, second] = [choice("She wears", a, every), choice("then", b, every)];
  const result = element("ol", { className: "try-steps" });
  result.setAttribute("role", "status");
  const fault = element("p", { className: "fault", hidden: true });
  const leave = element("button", { type: "button", className: "button", textContent: "Cancel" });
  const keep = element("button", { className: "button primary", textContent: "Keep it" });
  const turn = element("button", {
    type: "button",
    className: "button quiet small",
    textContent: "The other way round",
  });
  const form = element(
    "form",
    { className: "section-rules" },
    element("h2", { textContent: `Section ${section.number}`, id: "rules" }),
    element(
      "div",
      { className: "rules-two" },
      element(
        "div",
        { className: "rules-left" },
        element(
          "div",
          { className: "rules-name" },
          element("label", { className: "field" }, "Name", name),
          element("label", { className: "field" }, "Mark", mark),
        ),
        element("h3", { textContent: "How its effects are worn" }),
        ...picks,
      ),
      element(
        "div",
        { className: "rules-right" },
        ...(others.length > 0
          ? [
              element("h3", { textContent: "When one of its effects goes on, what is on of …" }),
              element(
                "ul",
                { className: "against" },
                ...against.map(([id, select]) =>
                  element("li", {}, element("span", { textContent: others.find((s) => s.id === id).name }), select),
                ),
              ),
            ]
          : []),
        ...(every.length > 1
          ? [
              element("h3", { textContent: "Try it out" }),
              element("div", { className: "try-line" }, "She wears ", first, " then ", second, turn),
              result,
            ]
          : []),
      ),
    ),
    fault,
    element("div", { className: "ends" }, leave, keep),
  );
  const dialog = element("dialog", { className: "dialog is-wide" }, form);
  dialog.setAttribute("aria-labelledby", "rules");
  let asked = 0;

  const body = () => ({
    section: section.id,
    name: name.value,
    rule: form.elements.rule.value,
    against: against.filter(([, s]) => s.value !== "").map(([id, s]) => ({ section: id, asks: s.value === "asks" })),
  });

  async function attempt() {
    if (every.length < 2) return;
    const own = ++asked;
    const effects = [Number(first.value), Number(second.value)];
    try {
      const { steps } = await send("POST", `/api/rack/${rack.kit.id}/sections/try`, { ...body(), effects });
      if (own !== asked) return;
      result.replaceChildren(
        ...steps.map(([said, question, on]) =>
          element(
            "li",
            {},
            ...(question ? [element("p", { className: "try-asks", textContent: `It asks: ${question}` })] : []),
            ...(said ? [element("p", { textContent: said })] : []),
            element("p", {
              className: "text-muted",
              textContent: `On: ${on.join(", ")}.${question ? " If she takes both." : ""}`,
            }),
          ),
        ),
      );
    } catch (error) {
      if (own === asked) result.replaceChildren(element("li", { textContent: error.message }));
    }
  }

  turn.addEventListener("click", () => {
    [first.value, second.value] = [second.value, first.value];
    attempt();
  });
  form.addEventListener("change", attempt);
  leave.addEventListener("click", () => dialog.close());
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    fault.hidden = true;
    try {
      await act("sections/change", body());
      if (mark.value !== section.mark) await act("sections/mark", { section: section.id, mark: mark.value });
      dialog.close();
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
    }
  });
  dialog.addEventListener("close", () => dialog.remove());
  document.body.append(dialog);
  dialog.showModal();
  attempt();
}

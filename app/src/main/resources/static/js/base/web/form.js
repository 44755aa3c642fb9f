// A small form in a dialog made for it, which stays open until what it asked for was done.
import { element } from "./element.js";
import { NAME } from "./rules.js";

function field({
  name,
  label,
  kind = "text",
  value = "",
  max = NAME,
  choices = [],
  rows = 8,
  hint = "",
  optional = false,
}) {
  const common = { name, className: "input", required: !optional, autocomplete: "off" };
  const input =
    kind === "choice"
      ? element("select", common, ...choices)
      : kind === "lines"
        ? element("textarea", { ...common, rows })
        : element("input", { ...common, maxLength: max });
  if (value !== "") input.value = value;
  const made = element("label", { className: "field" }, label, input);
  if (hint) made.append(element("span", { textContent: hint }));
  return made;
}

/**
 * Asks for something.
 * @param fields [{ name, label, kind: "text" | "lines" | "choice", value, choices: options }]
 * @param done (values) → promise; what it throws is shown and the form stays
 * @returns promise of the element that is the form's dialog, once it has closed
 */
export function ask({ title, words = "", fields, label }, done) {
  const fault = element("p", { className: "fault", hidden: true });
  const leave = element("button", { type: "button", className: "button", textContent: "Cancel" });
  const go = element("button", { className: "button primary", textContent: label });
  const form = element(
    "form",
    {},
    element("h2", { textContent: title, id: "asked" }),
    ...(words ? [element("p", { textContent: words })] : []),
    ...fields.map(field),
    fault,
    element("div", { className: "ends" }, leave, go),
  );
  const dialog = element("dialog", { className: "dialog" }, form);
  dialog.setAttribute("aria-labelledby", "asked");
  leave.addEventListener("click", () => dialog.close());
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    fault.hidden = true;
    go.disabled = true;
    try {
      await done(Object.fromEntries(new FormData(form)));
      dialog.close();
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
      go.disabled = false;
    }
  });
  document.body.append(dialog);
  dialog.showModal();
  return new Promise((resolve) => dialog.addEventListener("close", () => (dialog.remove(), resolve())));
}

/** Options of a choice. @param some [[value, words]] */
export const options = (some) => some.map(([value, words]) => new Option(words, value));

/** Options in groups. @param groups [{ label, options: [[value, words]] }] */
export const grouped = (groups) =>
  groups.map(({ label, options: some }) => element("optgroup", { label }, ...options(some)));

// The fields of a collection: text as it is typed, and what is ticked.

/** Fields by name, with the words by which undo calls them. */
const FIELDS = {
  name: "name",
  version: "version",
  licence: "licence",
  mayHandOut: "what may be handed out",
  notes: "notes",
};

const valueOf = (field) => (field.type === "checkbox" ? "checked" : "value");

/** What the hand made of a field: { name, value, words }; null where it is none of these. */
export const typedIn = (field) =>
  field.name in FIELDS ? { name: field.name, value: field[valueOf(field)], words: FIELDS[field.name] } : null;

/** Shows what is stored, but for the field that is being typed in. */
export function showFields(form, doc) {
  for (const name of Object.keys(FIELDS)) {
    const field = form.elements[name];
    const key = valueOf(field);
    if (key === "checked" || field !== document.activeElement) field[key] = doc[name];
  }
}

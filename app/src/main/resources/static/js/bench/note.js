// The note for the photographer, and what it promises that no dial keeps.

export function showNote(field, note, line, promises) {
  if (document.activeElement !== field) field.value = note;
  line.textContent = promises.join(" ");
  line.hidden = promises.length === 0;
}

// The note for the photographer, and what it promises that no dial keeps.

/** @param field in which it is written; what is being typed stays */
export function showNote(field, note) {
  if (document.activeElement !== field) field.value = note;
}

export function showPromises(line, promises) {
  line.textContent = promises.join(" ");
  line.hidden = promises.length === 0;
}

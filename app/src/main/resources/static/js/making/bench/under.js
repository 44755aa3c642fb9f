// The effect that is worn underneath while this one is built over it: looked at, never saved with it.

/**
 * @param select element that chooses it
 * @param state { id: of the effect that is built, others: [[id, name] …] of its kit }
 * @param changed() told when another one is chosen
 * @returns { body: what a request says of it, name: its name, or "" }
 */
export function underneath(select, { id, others }, changed) {
  const key = `nine-veils-under-${id}`;
  for (const [other, name] of others) select.add(new Option(`“${name}”`, other));
  const kept = localStorage.getItem(key) ?? "";
  if (others.some(([other]) => String(other) === kept)) select.value = kept;
  select.addEventListener("change", () => {
    localStorage.setItem(key, select.value);
    changed();
  });
  return {
    get body() {
      return select.value ? { under: Number(select.value) } : {};
    },
    get name() {
      return select.value ? others.find(([other]) => String(other) === select.value)[1] : "";
    },
  };
}

// A setting that is one of a few ways.

/**
 * @param setting { key, label, choices: [{ id, label }] }
 * @param value id of a choice
 * @param on { change(value) }
 * @returns { element, set(value) }
 */
export function choice(setting, value, on) {
  const element = document.createElement("div");
  element.className = "setting is-choice";
  element.dataset.key = setting.key;
  const label = document.createElement("label");
  const select = document.createElement("select");
  select.id = `s-${setting.key}-${Math.random().toString(36).slice(2, 8)}`;
  label.htmlFor = select.id;
  label.textContent = setting.label;
  for (const way of setting.choices) select.add(new Option(way.label, way.id));
  select.addEventListener("change", () => on.change(select.value));
  element.append(label, select);
  const set = (next) => {
    select.value = next;
    element.classList.toggle("is-moved", next !== setting.start);
  };
  set(value);
  return { element, set };
}

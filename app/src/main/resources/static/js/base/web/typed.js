// What is typed into the forms of a page and not sent yet stays when the page is loaded anew by itself.

const KEY = "nine-veils-typed";

const fields = () => [...document.querySelectorAll("main form[data-send] input[name]:not([type=hidden])")];

/** Keeps it for the same page. */
export function keepTyped() {
  const values = Object.fromEntries(fields().map((field) => [field.name, field.value]));
  sessionStorage.setItem(KEY, JSON.stringify({ page: location.pathname, values }));
}

/** Puts back what was kept, where nothing was typed since. */
export function typeAgain() {
  const kept = JSON.parse(sessionStorage.getItem(KEY) ?? "null");
  sessionStorage.removeItem(KEY);
  if (kept?.page !== location.pathname) return;
  for (const field of fields()) {
    if (field.value === field.defaultValue) field.value = kept.values[field.name] ?? field.value;
  }
}

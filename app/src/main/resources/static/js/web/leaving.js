// Nothing that waits is lost when a page is left: links and reloads wait until all is stored; a page
// that is closed sends what it has, without staying for an answer.

const stores = new Set();

/** Counts a store among those that are waited for. */
export const watch = (store) => stores.add(store);

/** When all that was changed on this page is stored, or cannot be. */
export async function settled() {
  document.activeElement?.blur?.(); // a field that is being typed in gives what it holds
  await Promise.all([...stores].map((store) => store.settled()));
}

/** Goes elsewhere once all is stored. */
export async function leaveTo(address) {
  await settled();
  location.assign(address);
}

export async function reload() {
  await settled();
  location.reload();
}

function follow(event) {
  const link = event.target.closest?.("a[href]");
  const plain = event.button === 0 && !event.ctrlKey && !event.metaKey && !event.shiftKey && !event.altKey;
  if (!link || !plain || event.defaultPrevented || link.target || link.hasAttribute("download")) return;
  if (new URL(link.href).origin !== location.origin || link.getAttribute("href").startsWith("#")) return;
  if ([...stores].every((store) => store.idle)) return;
  event.preventDefault();
  leaveTo(link.href);
}

if (typeof document !== "undefined") {
  document.addEventListener("click", follow);
  addEventListener("pagehide", () => {
    document.activeElement?.blur?.();
    for (const store of stores) store.flush();
  });
  addEventListener("beforeunload", (event) => {
    if ([...stores].some((store) => store.stuck)) event.preventDefault();
  });
}

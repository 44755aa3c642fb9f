// Nothing that waits is lost when a page is left: links and reloads wait until all is stored; a page
// that is closed sends what it has, without staying for an answer. The next page in its place may have
// been made before that arrived, so it looks again.

const stores = new Set();

const UNSTORED = "nine-veils-unstored";
const LOOK_AGAIN_MS = [0, 400, 1500, 4000];

/** Counts a store among those that are waited for. */
export function watch(store) {
  stores.add(store);
  if (!leftUnstored) return;
  for (const ms of LOOK_AGAIN_MS) setTimeout(() => store.lookAgain().catch(() => {}), ms);
}

/** Whether the page before this one, in this tab, was left with something on its way. */
function wasLeftUnstored() {
  if (typeof sessionStorage === "undefined") return false;
  const was = sessionStorage.getItem(UNSTORED) !== null;
  sessionStorage.removeItem(UNSTORED);
  return was;
}

const leftUnstored = wasLeftUnstored();

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
    if ([...stores].some((store) => !store.idle)) sessionStorage.setItem(UNSTORED, "yes");
  });
  addEventListener("beforeunload", (event) => {
    if ([...stores].some((store) => store.stuck)) event.preventDefault();
  });
}

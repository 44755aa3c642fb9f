// How the maker looks: it stays when the photo, the effect or the page changes.

const KEY = "nine-veils-look";

/** { view, mode } as it was left in this window, or the whole photo alone. */
export function keptLook() {
  try {
    const { view, mode } = JSON.parse(sessionStorage.getItem(KEY));
    return { view: view?.fit === false ? view : { fit: true }, mode: mode ?? "one" };
  } catch {
    return { view: { fit: true }, mode: "one" };
  }
}

export const keepLook = (look) => sessionStorage.setItem(KEY, JSON.stringify(look));

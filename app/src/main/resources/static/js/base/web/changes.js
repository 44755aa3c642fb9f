// Changes are functions of a document.

/** All of them, one after the other. */
export const all = (fns, doc) => fns.reduce((next, fn) => applied(fn, next), doc);

/** A change that finds nothing to change, such as of a veil that is gone, changes nothing. */
export function applied(fn, doc) {
  try {
    return fn(doc) ?? doc;
  } catch {
    return doc;
  }
}

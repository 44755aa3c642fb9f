// What was found besides effects.
import { element } from "../../base/web/element.js";

const list = (title, lines) =>
  lines.length > 0 ? [element("h2", { textContent: title }), element("ul", {}, ...lines)] : [];

const tooMany = (more) =>
  more > 0
    ? [element("p", { className: "text-muted", textContent: `and ${more} more: look for something narrower.` })]
    : [];

const swatch = (s) => element("li", {}, element("b", { textContent: s.name }), ` · ${s.kind} · ${s.mark}`);

const collection = (c) =>
  element(
    "li",
    {},
    element("a", { href: `/collections/${c.id}`, className: "underline", textContent: c.name }),
    ` · version ${c.version}`,
  );

/** Elements that stand below the effects. */
export const besidesEffects = (found) => [
  ...tooMany(found.more),
  ...list("Swatches", found.swatches.map(swatch)),
  ...list("Collections", found.collections.map(collection)),
];

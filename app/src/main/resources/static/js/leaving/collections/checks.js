// What is looked at before a collection leaves: what keeps it in, what is worth a look, what is well;
// each with its way to mend it.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";

/** Lines shown of one sort before they are summed up. */
const MOST = 12;

const WORDS = {
  build: "open it",
  write: "write it",
  place: "say where",
  proof: "proof",
  look: "look",
  compare: "compare",
  update: "update",
  rename: "rename",
  version: "version",
  choose: "choose",
  leave: "leave it out",
  cover: "choose",
  licence: "write it",
};

/** Where a thing is mended; fields of this page are named by #. */
export function wayTo({ way, kit, section, effects, photo }) {
  const [one] = effects;
  return {
    build: `/bench/${one}`,
    write: `/bench/${one}`,
    place: `/bench/${one}`,
    rename: `/kits/${kit}`,
    update: `/kits/${kit}`,
    proof: `/proofs/${kit}`,
    look: `/proofs/${kit}#cell=${one}:${photo}`,
    compare: `/proofs/${kit}#view=alike`,
    version: "#version",
    licence: "#licence",
    cover: "#cover",
    choose: "#choose",
    leave: `#leave:${kit}:${section}`,
  }[way];
}

function line(found) {
  const sign = element("span", {
    className: "sign",
    textContent: found.must ? "✕" : "!",
    title: found.must ? "keeps it in" : "worth a look",
  });
  sign.setAttribute("role", "img");
  sign.setAttribute("aria-label", found.must ? "Keeps it in:" : "Worth a look:");
  const words = element(
    "span",
    {},
    `${found.subject}: ${found.words}`,
    ...(found.detail ? [element("small", { textContent: found.detail })] : []),
  );
  const way = wayTo(found);
  const mend = way.startsWith("#")
    ? element("button", { type: "button", className: "mend", textContent: WORDS[found.way] })
    : element("a", { className: "mend", href: way, textContent: WORDS[found.way] });
  if (way.startsWith("#")) mend.dataset.goes = way.slice(1);
  mend.setAttribute("aria-label", `${WORDS[found.way]}: ${found.subject}`);
  return element("li", { className: found.must ? "is-must" : "is-look" }, sign, words, mend);
}

/** Lines of one reason are summed up where they are many. */
function summed(found) {
  const groups = Map.groupBy
    ? Map.groupBy(found, (f) => f.words)
    : found.reduce((m, f) => m.set(f.words, [...(m.get(f.words) ?? []), f]), new Map());
  return [...groups.values()].flatMap((same) =>
    same.length <= MOST
      ? same
      : [...same.slice(0, MOST - 1), { ...same[MOST - 1], subject: `${same.length - MOST + 1} more` }],
  );
}

export class Checks {
  #asked = 0;

  /** @param go (name of a field of this page) */
  constructor(root, id, go) {
    Object.assign(this, { root, id });
    root.addEventListener("click", (event) => {
      const to = event.target.closest("[data-goes]");
      if (to) go(to.dataset.goes);
    });
  }

  /** Looks anew; an answer that came too late is not shown. */
  async look() {
    const asked = ++this.#asked;
    const said = this.root.querySelector("[data-checks-said]");
    said.textContent = "Looking …";
    try {
      const { found, well } = await send("GET", `/api/collections/${this.id}/leaving`);
      if (asked !== this.#asked) return;
      const must = found.filter((f) => f.must).length;
      said.textContent =
        must > 0
          ? `${must} ${must === 1 ? "thing keeps" : "things keep"} it in.`
          : found.length > 0
            ? "Nothing keeps it in."
            : "It may leave.";
      const done = well.map((words) =>
        element(
          "li",
          { className: "is-well" },
          element("span", { className: "sign", textContent: "✓", ariaHidden: "true" }),
          element("span", { textContent: words }),
        ),
      );
      this.root.querySelector("[data-checks]").replaceChildren(...summed(found).map(line), ...done);
    } catch (error) {
      if (asked === this.#asked) said.textContent = error.message;
    }
  }
}

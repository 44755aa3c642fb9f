// What suits the photo: effects ranked with a reason each. A hint, asked for by a press.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { follow, howFar } from "../../base/web/jobs.js";
import { sayFault } from "../../base/web/say.js";

const FIRST = 6;

/** What is chosen for its own sake, whatever the photo is like: it stands after the rest. */
const APART = { "black-and-white": "Black and white", frame: "Frames", "by-hand": "To brush on" };

/** What is done to a line is done to what it names. */
const POINTED = [
  ["pointerenter", "pointerenter"],
  ["focus", "pointerenter"],
  ["pointerleave", "pointerleave"],
  ["blur", "pointerleave"],
];

/**
 * @param root [data-suits]
 * @param api () → address of the fitting
 * @param pieces buttons of what is offered, by key
 * @returns { away() }: another photo has come
 */
export function suits(root, api, pieces) {
  const find = (name) => root.querySelector(`[data-suits-${name}]`);
  const [look, said, list] = ["look", "said", "list"].map(find);
  let asked = 0;

  function line({ key, sort, reason }) {
    const piece = pieces.get(key);
    if (!piece) return [];
    const name = element("button", {
      type: "button",
      textContent: piece.querySelector("span:not(.sr-only)")?.textContent || piece.title,
    });
    for (const [event, as] of POINTED) name.addEventListener(event, () => piece.dispatchEvent(new Event(as)));
    name.addEventListener("click", () => piece.click());
    const made = element("li", {}, name, element("small", { textContent: reason }));
    made.dataset.sort = sort;
    return [made];
  }

  function show(ranked) {
    const lines = ranked.filter(({ sort }) => !(sort in APART)).flatMap(line);
    const apart = Object.entries(APART).flatMap(([sort, title]) => {
      const own = ranked.filter((one) => one.sort === sort).flatMap(line);
      const head = element("li", { className: "mt-2 text-[12px] text-muted", textContent: title });
      return own.length > 0 ? [head, ...own] : [];
    });
    const more = element("button", {
      type: "button",
      className: "button quiet small",
      textContent: `All ${ranked.length}`,
    });
    more.addEventListener("click", () => list.replaceChildren(...lines, ...apart));
    const rest = ranked.length > FIRST ? [element("li", {}, more)] : [];
    list.replaceChildren(...lines.slice(0, FIRST), ...rest);
  }

  function open(is) {
    list.hidden = !is;
    said.hidden = !is;
    look.setAttribute("aria-expanded", String(is));
  }

  look.addEventListener("click", async () => {
    if (!list.hidden) return open(false);
    const own = ++asked;
    list.replaceChildren();
    open(true);
    try {
      const { job } = await send("POST", `${api()}/suits`);
      const ended = await follow(job, (now) => own === asked && (said.textContent = howFar(now)));
      if (own !== asked) return;
      if (!ended.result) throw new Error([ended.said, ...ended.faults].join(" "));
      const { ranked } = await send("GET", `/jobs/${ended.id}/result`);
      if (own !== asked) return;
      show(ranked);
      said.textContent = "A hint, measured on this photo; look for yourself.";
    } catch (error) {
      if (own !== asked) return;
      open(false);
      sayFault(error);
    }
  });

  return {
    away() {
      asked += 1;
      open(false);
    },
  };
}

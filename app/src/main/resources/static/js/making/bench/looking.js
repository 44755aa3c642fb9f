// Ways to look at an effect while one of its veils is open. The whole stack is the ordinary way;
// the others are for a moment and change nothing.

/** What can be seen of the effect, by name. */
export const WAYS = [
  { way: "all", label: "All", title: "The whole stack" },
  { way: "up-to", label: "Up to here", title: "The veils up to this one · U" },
  { way: "only", label: "Only this", title: "This veil alone on the plain photo · O" },
  { way: "bare", label: "Mask off", title: "As if this veil covered everything · X" },
];

/**
 * @param effect the effect
 * @param id of the open veil
 * @returns what to render: { effect, bare? }
 */
export function looked(effect, id, way) {
  const at = effect.veils.findIndex((v) => v.id === id);
  if (at < 0 || way === "all") return { effect };
  const veils = {
    "up-to": () => effect.veils.map((v, i) => (i > at ? { ...v, lifted: true } : v)),
    only: () => effect.veils.map((v, i) => (i === at ? v : { ...v, lifted: true })),
    without: () => effect.veils.map((v, i) => (i === at ? { ...v, lifted: true } : v)),
    bare: () => effect.veils.map((v, i) => (i === at ? { ...v, mask: { cover: "everywhere" } } : v)),
  }[way]();
  const seen = { ...effect, veils };
  return way === "bare" ? { effect: seen, bare: id } : { effect: seen };
}

const WORDS = { "up-to": "Up to", only: "Only", without: "Without", bare: "Mask off:" };

/** What is seen, in words; empty for all of it. */
export const wayWords = (way, veil) => (veil && way in WORDS ? `${WORDS[way]} “${veil.name}”` : "");

/** The buttons. @returns { element, show(way, masked) } */
export function lookingButtons(choose) {
  const element = document.createElement("span");
  element.className = "either looking";
  element.setAttribute("role", "group");
  element.setAttribute("aria-label", "What is seen");
  for (const { way, label, title } of WAYS) {
    const button = Object.assign(document.createElement("button"), { type: "button", textContent: label, title });
    button.dataset.way = way;
    button.addEventListener("click", () => choose(way));
    element.append(button);
  }
  return {
    element,
    show(way, masked) {
      for (const button of element.children) {
        button.setAttribute("aria-pressed", String(button.dataset.way === way));
        if (button.dataset.way === "bare") button.hidden = !masked;
      }
    },
  };
}

// Two looks mixed by a slider: what is worn now, pins, and pins of other photos. The mix is seen while the hand
// is at it, and worn when it is told to.
import { slider } from "../../base/editors/slider.js";
import { whileLookedAt } from "../../base/web/looked-at.js";

const NOW = 0;
const SHARE = { key: "mix", label: "Share of the second", unit: "%", min: 0, max: 100, step: 1, start: 50 };

/**
 * @param box element that takes it
 * @param on { look(body | null, words), wear(mix) }
 * @returns show(looks): [{ id, name }] besides what is worn now
 */
export function mixing(box, on) {
  const heading = Object.assign(document.createElement("h3"), { textContent: "Mix" });
  const [first, second] = ["First look", "Second look"].map(list);
  let share = SHARE.start;
  let looked = false;
  const between = slider(SHARE, share, {
    input(value) {
      share = value;
      look();
    },
  });
  const wear = Object.assign(document.createElement("button"), {
    type: "button",
    className: "button small",
    textContent: "Wear the mix",
  });

  function list(label) {
    const made = document.createElement("select");
    made.className = "input";
    made.setAttribute("aria-label", label);
    made.addEventListener("change", () => {
      able();
      look();
    });
    return made;
  }

  const mix = () => ({ first: Number(first.value), second: Number(second.value), share: share / 100 });
  const able = () => (wear.disabled = first.value === second.value);

  function look() {
    looked = true;
    on.look({ mix: mix() }, `${Math.round(100 - share)} % ${named(first)}, ${Math.round(share)} % ${named(second)}`);
  }

  whileLookedAt(box, look, () => {
    if (looked) on.look(null);
    looked = false;
  });
  wear.addEventListener("click", () => on.wear(mix()));
  const pair = document.createElement("div");
  pair.className = "mix-of";
  pair.append(first, second);
  box.append(heading, pair, between.element, wear);

  return (looks) => {
    box.hidden = looks.length === 0;
    const all = [{ id: NOW, name: "Now" }, ...looks];
    const before = [first.value, second.value];
    for (const select of [first, second])
      select.replaceChildren(...all.map(({ id, name }) => new Option(name, String(id))));
    const has = (value) => all.some(({ id }) => String(id) === value);
    first.value = has(before[0]) ? before[0] : String(NOW);
    second.value = has(before[1]) && before[1] !== first.value ? before[1] : String(all[1]?.id ?? NOW);
    able();
  };
}

const named = (select) => select.selectedOptions[0]?.text ?? "";

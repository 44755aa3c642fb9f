// One search over all kits: what is typed is looked up as it is typed, and hangs as a rack.
import { element } from "../../base/web/element.js";
import { ask } from "../../base/web/form.js";
import { send } from "../../base/web/http.js";
import { listen } from "../../base/web/keys.js";
import { leaveTo } from "../../base/web/leaving.js";
import { canUndo } from "../../base/web/saved-line.js";
import { sayFault } from "../../base/web/say.js";
import { Beside } from "../rack/beside.js";
import { fillPiece, newPiece } from "../rack/piece.js";
import { besides } from "../rack/moves.js";
import { effectOf } from "../rack/rack-state.js";
import { besidesEffects } from "./more.js";
import { asRack, countWords, holds, toggled } from "./find-state.js";

const TYPED_MS = 110;
const page = document.querySelector("[data-find]");
const data = JSON.parse(page.dataset.state);
const find = (name) => page.querySelector(`[data-${name}]`);
const input = find("form").elements.q;
const beside = new Beside(find("beside"), { acts: false });
const pieces = new Map();
const look = { picked: new Set(), active: 0 };

let rack = asRack(data);
let saved = data.saved;
let asked = 0;
let timer;

function phrase(words) {
  const made = element("button", { type: "button", textContent: words });
  made.setAttribute("aria-pressed", String(holds(input.value, words)));
  made.addEventListener("click", () => {
    input.value = toggled(input.value, words);
    lookUp();
  });
  return element("li", {}, made);
}

function lists() {
  find("phrases").replaceChildren(...data.phrases.map(phrase));
  find("kinds").replaceChildren(...data.kinds.map((k) => phrase(`has ${k}`)));
  find("tags").replaceChildren(...data.tags.map((t) => phrase(`#${t}`)));
  find("tags-head").hidden = data.tags.length === 0;
  find("saved").replaceChildren(
    ...saved.map((s) => {
      const go = element("button", { type: "button" }, element("span", { textContent: s.name }));
      go.title = s.q;
      go.addEventListener("click", () => {
        input.value = s.q;
        lookUp();
      });
      const off = element("button", { type: "button", className: "button quiet small", textContent: "×" });
      off.setAttribute("aria-label", `Remove the search ${s.name}`);
      off.addEventListener("click", () => keep(send("DELETE", `/api/find/saved/${s.id}`)));
      return element("li", { className: "is-saved" }, go, off);
    }),
  );
}

async function keep(answer) {
  try {
    saved = (await answer).saved;
    canUndo();
    lists();
  } catch (error) {
    sayFault(error);
  }
}

function piece(effect, number) {
  if (!pieces.has(effect.id)) pieces.set(effect.id, newPiece(effect.id));
  const made = pieces.get(effect.id);
  fillPiece(made, effect, {
    number,
    address: effect.photo ? `/effects/${effect.id}/on/${effect.photo}?v=${effect.rev}` : "",
    mark: effect.mark,
  });
  made.tabIndex = effect.id === look.active ? 0 : -1;
  return made;
}

function draw(found) {
  rack = asRack(found);
  if (!effectOf(rack, look.active)) look.active = rack.effects[0]?.id ?? 0;
  find("count").textContent = countWords(found);
  find("sections").replaceChildren(
    ...rack.sections.map((s) => {
      const rail = element("div", { className: "hung" }, ...s.effects.map((id) => piece(effectOf(rack, id), "")));
      rail.setAttribute("role", "listbox");
      rail.setAttribute("aria-label", s.name);
      const n = s.effects.length;
      return element(
        "section",
        { className: "rail-section" },
        element(
          "header",
          {},
          element("h2", {}, element("a", { href: `/kits/${s.id}`, textContent: s.name, draggable: false })),
          element("span", { className: "rule", textContent: n === 1 ? "1 effect" : `${n} effects` }),
        ),
        rail,
      );
    }),
  );
  find("more").replaceChildren(...besidesEffects(found));
  showBeside(look.active);
  lists();
}

function showBeside(id) {
  const effect = effectOf(rack, id);
  beside.show(rack, { ...look, photo: effect?.photo ?? 0 }, id);
}

async function lookUp() {
  const own = ++asked;
  history.replaceState(null, "", input.value ? `/find?q=${encodeURIComponent(input.value)}` : "/find");
  try {
    const found = await send("GET", `/api/find?q=${encodeURIComponent(input.value)}`);
    if (own === asked) draw(found);
  } catch (error) {
    sayFault(error);
  }
}

function activate(id) {
  if (!id) return;
  pieces.get(look.active)?.setAttribute("tabindex", "-1");
  look.active = id;
  pieces.get(id).tabIndex = 0;
  pieces.get(id).focus({ preventScroll: true });
  pieces.get(id).scrollIntoView({ block: "nearest" });
  showBeside(id);
}

const boxes = () =>
  rack.effects.map((e) => {
    const { left, top, right, bottom } = pieces.get(e.id).getBoundingClientRect();
    return { id: e.id, left, top, right, bottom };
  });

input.addEventListener("input", () => {
  clearTimeout(timer);
  timer = setTimeout(lookUp, TYPED_MS);
});
input.addEventListener("keydown", (event) => {
  if (event.key !== "ArrowDown" || rack.effects.length === 0) return;
  event.preventDefault();
  activate(look.active);
});
find("form").addEventListener("submit", (event) => {
  event.preventDefault();
  lookUp();
});
find("save").addEventListener("click", () =>
  ask(
    {
      title: "Keep this search",
      words: input.value ? `“${input.value}”` : "",
      label: "Keep it",
      fields: [{ name: "name", label: "Name" }],
    },
    async ({ name }) => {
      saved = (await send("POST", "/api/find/saved", { name, q: input.value })).saved;
      canUndo();
      lists();
    },
  ),
);
find("sections").addEventListener("keydown", (event) => {
  if (!event.target.closest("[data-effect]") || event.ctrlKey || event.altKey || event.metaKey) return;
  if (event.key.startsWith("Arrow") || event.key === "Home" || event.key === "End") {
    const next = besides(boxes(), look.active, event.key);
    if (next) activate(next);
    else if (event.key === "ArrowUp") input.focus();
  } else if (event.key === "Enter") leaveTo(`/bench/${look.active}`);
  else return;
  event.preventDefault();
});
find("sections").addEventListener("click", (event) => {
  const at = event.target.closest("[data-effect]");
  if (at) activate(Number(at.dataset.effect));
});
find("sections").addEventListener("dblclick", (event) => {
  const at = event.target.closest("[data-effect]");
  if (at) leaveTo(`/bench/${at.dataset.effect}`);
});
find("sections").addEventListener("pointerover", (event) => {
  const at = event.target.closest("[data-effect]");
  if (at) showBeside(Number(at.dataset.effect));
});
listen([
  { keys: ["j"], says: "type what is looked for", run: () => input.focus() },
  { keys: [], shown: ["arrows"], says: "among what was found" },
  { keys: [], shown: ["Enter"], says: "open at the bench" },
]);
page.dataset.size = "medium";
draw(data);
input.focus();
input.setSelectionRange(input.value.length, input.value.length);

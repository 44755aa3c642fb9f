// Several effects from one: a number of a veil is stepped; every step is seen before any is made.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";

const TRY_MS = 250;

const field = (label, input) => element("label", { className: "field" }, label, input);
const input = (value, name) =>
  element("input", { className: "input", value, name, autocomplete: "off", inputMode: "decimal" });

/** Numbers as typed: with a comma or a point, thirds as ⅓ or 1/3. */
export function numberOf(text) {
  const plain = text.trim().replace(",", ".").replace("−", "-").replace(/^\+/, "");
  const parts = plain.match(/^(-?)(\d*(?:\.\d+)?)\s*(?:([⅓⅔])|(\d+)\/(\d+))?$/);
  if (!parts || plain === "" || plain === "-") return NaN;
  const [, sign, whole, glyph, over, under] = parts;
  const fraction = glyph ? (glyph === "⅓" ? 1 / 3 : 2 / 3) : over ? Number(over) / Number(under) : 0;
  // “1/3” has its numerator where a whole number would stand
  const all = over && whole === "" ? fraction : Number(whole || 0) + fraction;
  return sign === "-" ? -all : all;
}

const stepOf = (n) => (n.unit === "stops" ? 1 / 3 : (n.max - n.min) / 8);
const written = (v) => String(Number(v.toFixed(3)));

/**
 * @param effect { id, name } ; @param how { photo: id, made(state): takes the rack as it is then }
 */
export async function seriesOf(effect, { photo, made }) {
  const { veils } = await send("GET", `/api/series/${effect.id}`);
  const veil = element("select", { className: "input" }, ...veils.map((v) => new Option(v.name, v.id)));
  const key = element("select", { className: "input" });
  const [from, to, step, list] = [input("", "from"), input("", "to"), input("", "step"), input("", "list")];
  const pattern = input("{name} {value}", "pattern");
  const strip = element("div", { className: "series-strip" });
  const fault = element("p", { className: "fault", hidden: true });
  const leave = element("button", { type: "button", className: "button", textContent: "Cancel" });
  const go = element("button", { className: "button primary", textContent: "Make them", disabled: true });
  const form = element(
    "form",
    {},
    element("h2", { textContent: `A series of ${effect.name}`, id: "series" }),
    element("div", { className: "series-what" }, field("Veil", veil), field("What is stepped", key)),
    element(
      "div",
      { className: "series-values" },
      field("From", from),
      field("to", to),
      field("by steps of", step),
      field("or these values, with ; between", list),
    ),
    field("Names: {name}, {value} and {number} are filled in", pattern),
    strip,
    fault,
    element("div", { className: "ends" }, leave, go),
  );
  const dialog = element("dialog", { className: "dialog is-wide series" }, form);
  dialog.setAttribute("aria-labelledby", "series");
  let timer;
  let asked = 0;

  const numbers = () => veils.find((v) => v.id === veil.value)?.numbers ?? [];
  const number = () => numbers().find((n) => n.key === key.value);

  function keys() {
    key.replaceChildren(...numbers().map((n) => new Option(`${n.label}${n.unit ? `, ${n.unit}` : ""}`, n.key)));
    const first = numbers().find((n) => n.changed && n.key !== "opacity") ?? numbers()[0];
    if (first) key.value = first.key;
    range();
  }

  function range() {
    const n = number();
    if (!n) return;
    const by = stepOf(n);
    from.value = written(Math.max(n.min, n.value - by));
    to.value = written(Math.min(n.max, n.value + 2 * by));
    step.value = written(by);
    list.value = "";
    soon();
  }

  const body = () => ({
    veil: veil.value,
    key: key.value,
    pattern: pattern.value,
    ...(list.value.trim()
      ? { values: list.value.split(/;|\s{2,}/).map(numberOf) }
      : { from: numberOf(from.value), to: numberOf(to.value), step: numberOf(step.value) }),
  });

  function soon() {
    clearTimeout(timer);
    go.disabled = true;
    timer = setTimeout(look, TRY_MS);
  }

  async function look() {
    const own = ++asked;
    const wish = body();
    try {
      if (
        Object.values(wish)
          .flat()
          .some((v) => Number.isNaN(v))
      )
        throw new Error("A value is not a number. Thirds can be written as 1/3 or ⅓.");
      const { steps } = await send("POST", `/api/series/${effect.id}/try`, wish);
      if (own !== asked) return;
      strip.replaceChildren(
        ...steps.map((s) => {
          const query = new URLSearchParams({ veil: wish.veil, key: wish.key, value: s.value });
          return element(
            "figure",
            {},
            photo ? element("img", { src: `/series/${effect.id}/${photo}?${query}`, alt: "" }) : "",
            element("figcaption", { textContent: s.name, title: s.name }),
          );
        }),
      );
      fault.hidden = true;
      go.textContent = steps.length === 1 ? "Make it" : `Make ${steps.length}`;
      go.disabled = false;
    } catch (error) {
      if (own !== asked) return;
      strip.replaceChildren();
      fault.textContent = error.message;
      fault.hidden = false;
    }
  }

  veil.addEventListener("change", keys);
  key.addEventListener("change", range);
  for (const typed of [from, to, step, list, pattern]) typed.addEventListener("input", soon);
  leave.addEventListener("click", () => dialog.close());
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    go.disabled = true;
    try {
      made(await send("POST", `/api/series/${effect.id}`, body()));
      dialog.close();
    } catch (error) {
      fault.textContent = error.message;
      fault.hidden = false;
    }
  });
  dialog.addEventListener("close", () => dialog.remove());
  document.body.append(dialog);
  keys();
  dialog.showModal();
}

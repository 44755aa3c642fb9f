// What the other house has at its stall; asked for behind the page, so that one that is slow keeps nobody waiting.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";

const find = (name) => document.querySelector(`[data-elsewhere-${name}]`);

function line(one) {
  const has = one.here === one.version;
  const words = has ? "On your desk" : one.here ? `Fetch ${one.version}, you have ${one.here}` : "Fetch it";
  const form = element(
    "form",
    {},
    element("input", { type: "hidden", name: "code", value: one.code }),
    element("button", { className: "button small", textContent: words, disabled: has }),
    element("p", { className: "fault", hidden: true }),
  );
  form.dataset.send = "POST /api/desk/fetch";
  const by = one.mark ? `by ${one.mark}` : "by an unnamed maker";
  const many = `${one.effects} ${one.effects === 1 ? "effect" : "effects"}`;
  return element(
    "li",
    {},
    element("b", { textContent: `${one.name} ${one.version}` }),
    element("span", { className: "text-muted", textContent: [by, many, one.price].filter(Boolean).join(" · ") }),
    form,
  );
}

try {
  const { out } = await send("GET", "/api/desk/stall/elsewhere");
  find("out").hidden = out.length === 0;
  find("list").append(...out.map(line));
  if (out.length > 0) document.querySelector("[data-nothing-out]")?.remove();
} catch (fault) {
  find("out").hidden = false;
  find("said").textContent = fault.message;
}

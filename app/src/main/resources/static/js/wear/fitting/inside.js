// A veil of a worn effect, looked into: what is set in it, which only the maker changes, and whether it
// hangs twice here.
import { quietButton } from "../../base/web/button.js";
import { shown } from "../../base/editors/slider.js";

/**
 * @param veil as the effect has it
 * @param kind its descriptors
 * @param doubled whether it hangs twice
 * @param double(twice) hangs it twice, or once
 */
export function veilInside(veil, kind, doubled, double) {
  const box = document.createElement("div");
  box.className = "veil-inside";
  const button = quietButton(doubled ? "Hang it once" : "Hang it twice", () => double(!doubled));
  button.dataset.act = `hang ${veil.id}`;
  button.title = "The second one covers as the first";
  const list = document.createElement("ul");
  for (const words of settingsInWords(veil, kind))
    list.append(Object.assign(document.createElement("li"), { textContent: words }));
  box.append(button, list);
  return box;
}

/** What is set otherwise than it starts, in words. */
export function settingsInWords(veil, kind) {
  const set = kind.settings.filter(
    (s) => s.key in veil.settings && JSON.stringify(veil.settings[s.key]) !== JSON.stringify(s.start),
  );
  return [kind.label, ...set.map((s) => `${named(s)}${said(s, veil.settings[s.key])}`)];
}

const named = (s) => (s.group && s.group !== s.label ? `${s.group}, ${s.label.toLowerCase()}` : s.label);

function said(setting, value) {
  if (setting.type === "number") return `: ${shown(value, setting.step)} ${setting.unit ?? ""}`.trimEnd();
  return setting.type === "choice" ? `: ${value}` : "";
}

// The tags of one photo: ready-made ones to press, and the maker's own.
import { send } from "../../base/web/http.js";
import { say, sayFault } from "../../base/web/say.js";

/** @param photo id ; @param state { tags, tagGroups } */
export function tagging(root, photo, { tags, tagGroups }) {
  const box = root.querySelector("[data-tag-groups]");
  const form = root.querySelector("[data-tag-own]");

  function show(own, groups) {
    box.replaceChildren(
      ...groups
        .filter((g) => g.tags.length > 0)
        .map((g) => {
          const line = document.createElement("div");
          line.setAttribute("role", "group");
          line.setAttribute("aria-label", g.label);
          line.append(
            ...g.tags.map((tag) => {
              const on = own.includes(tag);
              const made = Object.assign(document.createElement("button"), {
                type: "button",
                className: "tag",
                textContent: tag,
              });
              made.setAttribute("aria-pressed", String(on));
              made.addEventListener("click", () => give(tag, !on));
              return made;
            }),
          );
          return line;
        }),
    );
  }

  async function give(tag, on) {
    try {
      const answer = await send("PUT", "/api/photos/wall/tags", { photos: [photo], tag, on });
      const focused = document.activeElement?.textContent;
      show(answer.tags[photo], answer.groups);
      [...box.querySelectorAll("button")].find((b) => b.textContent === focused)?.focus();
      if (!on) say(`No longer tagged “${tag}”.`, { action: () => give(tag, true) });
    } catch (error) {
      sayFault(error);
    }
  }

  form.addEventListener("submit", (event) => {
    event.preventDefault();
    const [field] = form.elements;
    if (field.value.trim()) give(field.value, true);
    field.value = "";
  });
  show(tags, tagGroups);
}

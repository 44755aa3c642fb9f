// The photographer's photos by sitting, each in what it wears: a click goes on with it.
import { element } from "../../base/web/element.js";
import { send } from "../../base/web/http.js";
import { leaveTo, reload } from "../../base/web/leaving.js";
import { NAME } from "../../base/web/rules.js";
import { sayAfterReload, sayFault } from "../../base/web/say.js";

const root = document.querySelector("[data-desk-photos]");
const find = (name) => root.querySelector(`[data-desk-${name}]`);
const { photos, sittings, collections } = JSON.parse(root.dataset.state);
const ticked = new Set();
let ticking = false;

const many = (n) => `${n} ${n === 1 ? "photo" : "photos"}`;

/** What a photo is called in its tile, and what became of it. */
function marks({ effects, title, saved }) {
  if (effects === 0) return "as it came";
  return `${effects} on, ${title}${saved ? " · saved" : " · not saved yet"}`;
}

function tile(photo) {
  const { id, name, fitting, effects, saved } = photo;
  const plain = `/photos/${id}/small`;
  const worn = fitting ? `/api/fittings/${fitting}/small` : plain;
  const picture = Object.assign(new Image(), { loading: "lazy", alt: "", src: worn });
  const before = element("span", { className: "desk-before", textContent: "before", hidden: true });
  const link = element("a", { className: "picture", href: `/desk/fitting/begin?photo=${id}` }, picture, before);
  link.setAttribute("aria-label", `Go on with ${name}`);
  const show = (bare) => {
    picture.src = bare ? plain : worn;
    before.hidden = !bare || !fitting;
  };
  if (fitting) {
    for (const event of ["pointerenter", "focus"]) link.addEventListener(event, () => show(true));
    for (const event of ["pointerleave", "blur"]) link.addEventListener(event, () => show(isPlain()));
  }
  const field = element("input", { value: name, defaultValue: name, maxLength: NAME });
  field.setAttribute("aria-label", "Name of the photo");
  field.dataset.rename = `/api/photos/${id}`;
  const mark = element("span", { className: "desk-mark", textContent: marks(photo) });
  mark.dataset.state = effects === 0 ? "bare" : saved ? "saved" : "open";
  const figure = element("figure", {}, link, element("figcaption", {}, field, mark));
  figure.dataset.photo = id;
  link.addEventListener("click", (event) => {
    if (ticking) {
      event.preventDefault();
      tick(figure, id);
    } else if (collections.length === 0) {
      event.preventDefault();
      leaveTo("/desk");
    }
  });
  return { figure, show };
}

const isPlain = () => find("plain").getAttribute("aria-pressed") === "true";

const tiles = new Map(photos.map((photo) => [photo.id, tile(photo)]));

function group({ id, name }, own) {
  const box = element("section", { className: "desk-group" });
  if (id) {
    const field = element("input", { className: "desk-sitting", value: name, maxLength: NAME });
    field.setAttribute("aria-label", "Name of the sitting");
    field.addEventListener("change", () =>
      send("PUT", `/api/photos/desk/sittings/${id}`, { name: field.value }).then(reload, (fault) => {
        field.value = name;
        sayFault(fault);
      }),
    );
    box.append(element("h2", {}, field, element("span", { textContent: many(own.length) })));
  } else if (sittings.length > 0) box.append(element("h2", {}, element("b", { textContent: "In no sitting yet" })));
  box.append(element("div", { className: "wall" }, ...own.map((photo) => tiles.get(photo.id).figure)));
  return box;
}

function tick(figure, id) {
  if (!ticked.delete(id)) ticked.add(id);
  figure.classList.toggle("is-ticked", ticked.has(id));
  figure.querySelector("a").setAttribute("aria-pressed", String(ticked.has(id)));
  count();
}

function count() {
  find("ticked").hidden = ticked.size === 0;
  find("ticked-count").textContent = many(ticked.size);
}

function setTicking(on) {
  ticking = on;
  find("tick").setAttribute("aria-pressed", String(on));
  root.classList.toggle("is-ticking", on);
  for (const [id, { figure }] of tiles) {
    const link = figure.querySelector("a");
    if (on) {
      link.setAttribute("role", "button");
      link.setAttribute("aria-pressed", "false");
    } else {
      link.removeAttribute("role");
      link.removeAttribute("aria-pressed");
    }
    figure.classList.remove("is-ticked");
    ticked.delete(id);
  }
  count();
}

const put = (name) => send("POST", "/api/photos/desk/sittings", { photos: [...ticked], name }).then(reload, sayFault);

/** Asks with which collection a photo is begun. */
function choose() {
  const photo = /^#wear=(\d+)$/.exec(location.hash)?.[1];
  if (!photo) return;
  history.replaceState(null, "", location.pathname);
  find("choices").replaceChildren(
    ...collections.map(({ wardrobe, title }) =>
      element(
        "li",
        {},
        element("a", {
          className: "button",
          href: `/desk/fitting/of?wardrobe=${encodeURIComponent(wardrobe)}&photo=${photo}`,
          textContent: title,
        }),
      ),
    ),
  );
  find("wear").showModal();
}

const inOrder = [...sittings, { id: 0, name: "" }];
find("groups").append(
  ...inOrder
    .map((one) => [one, photos.filter((photo) => photo.sitting === one.id)])
    .filter(([, own]) => own.length > 0)
    .map(([one, own]) => group(one, own)),
);
find("bar").hidden = photos.length === 0;
const open = photos.filter((photo) => photo.effects > 0 && !photo.saved).length;
find("count").textContent = `${many(photos.length)}${open > 0 ? `, ${open} worked on and not saved` : ""}`;
find("names").append(...sittings.map(({ name }) => new Option(name)));
find("tick").addEventListener("click", () => setTicking(!ticking));
find("plain").addEventListener("click", () => {
  find("plain").setAttribute("aria-pressed", String(!isPlain()));
  for (const { show } of tiles.values()) show(isPlain());
});
find("ticked").addEventListener("submit", (event) => {
  event.preventDefault();
  const { value } = find("ticked").elements.name;
  if (value.trim()) put(value);
  else find("ticked").elements.name.focus();
});
find("out").addEventListener("click", () => put(""));
find("off").addEventListener("click", () =>
  send("POST", "/api/photos/desk/take-off", { photos: [...ticked] }).then(({ said }) => {
    sayAfterReload(said);
    reload();
  }, sayFault),
);
choose();

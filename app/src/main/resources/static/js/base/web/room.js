// The room around the photo: edges that are dragged or moved by keys and remembered, and the whole
// window for the photo, with the rail where the lower edge is touched.

const STEP = 12;
const EDGES = {
  column: {
    least: 220,
    rest: 420,
    size: "innerWidth",
    at: (e, box) => box.right - e.clientX,
    keys: { ArrowLeft: 1, ArrowRight: -1 },
  },
  rail: {
    least: 110,
    rest: 260,
    size: "innerHeight",
    at: (e, box) => box.bottom - e.clientY,
    keys: { ArrowUp: 1, ArrowDown: -1 },
  },
};

/**
 * @param root element with the edges in it; its sizes are remembered under its name
 * @param name of the room
 * @returns { toggleWhole(), leaveWhole(): whether it was whole }
 */
export function room(root, name) {
  for (const element of root.querySelectorAll("[data-edge]"))
    edge(root, element, `nine-veils.${name}.${element.dataset.edge}`);
  const button = root.querySelector("[data-whole]");
  const whole = (wanted) => {
    document.body.classList.toggle("is-whole", wanted);
    button.setAttribute("aria-pressed", String(wanted));
  };
  const toggleWhole = () => whole(!document.body.classList.contains("is-whole"));
  button.addEventListener("click", () => {
    toggleWhole();
    button.blur(); // or the rail would stay up
  });
  return {
    toggleWhole,
    leaveWhole() {
      const was = document.body.classList.contains("is-whole");
      whole(false);
      return was;
    },
  };
}

function edge(root, element, key) {
  const how = EDGES[element.dataset.edge];
  const property = `--${element.dataset.edge}`;
  element.tabIndex = 0;
  element.setAttribute("role", "separator");
  element.setAttribute("aria-orientation", element.dataset.edge === "column" ? "vertical" : "horizontal");
  element.title = "Drag, or arrow keys; double-click for the first size";
  const most = () => window[how.size] - how.rest;
  const now = () =>
    Number.parseFloat(root.style.getPropertyValue(property)) ||
    Number.parseFloat(
      getComputedStyle(root)
        .getPropertyValue(`grid-template-${element.dataset.edge === "column" ? "columns" : "rows"}`)
        .split(" ")
        .at(-1),
    );

  function set(size) {
    const fits = Math.round(Math.min(most(), Math.max(how.least, size)));
    root.style.setProperty(property, `${fits}px`);
    element.setAttribute("aria-valuenow", String(fits));
    return fits;
  }

  const keep = (size) => localStorage.setItem(key, String(set(size)));
  const kept = Number(localStorage.getItem(key));
  if (kept) set(kept);
  else element.setAttribute("aria-valuenow", String(Math.round(now())));
  let dragged = false;
  element.addEventListener("pointerdown", (event) => {
    dragged = true;
    element.setPointerCapture(event.pointerId);
    element.classList.add("is-dragged");
  });
  element.addEventListener("pointermove", (event) => dragged && set(how.at(event, root.getBoundingClientRect())));
  for (const end of ["pointerup", "pointercancel"]) {
    element.addEventListener(end, () => {
      if (!dragged) return;
      dragged = false;
      element.classList.remove("is-dragged");
      keep(now());
    });
  }
  element.addEventListener("dblclick", () => {
    root.style.removeProperty(property);
    localStorage.removeItem(key);
  });
  element.addEventListener("keydown", (event) => {
    const step = how.keys[event.key];
    if (!step) return;
    event.preventDefault();
    event.stopPropagation();
    keep(now() + step * STEP * (event.shiftKey ? 4 : 1));
  });
}

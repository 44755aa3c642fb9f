// Bright or dim paper: as it was chosen here, or else as the system prefers. Runs before the page is
// drawn, so that nothing flashes; no module, since those wait.
{
  const KEY = "nine-veils.room";
  const dark = matchMedia("(prefers-color-scheme: dark)");
  const wanted = () => localStorage.getItem(KEY) ?? (dark.matches ? "dim" : "bright");
  const show = () => {
    document.documentElement.dataset.room = wanted();
    document.querySelector("[data-room-light]")?.setAttribute("aria-pressed", String(wanted() === "dim"));
  };
  show();
  dark.addEventListener("change", show);
  document.addEventListener("DOMContentLoaded", () => {
    show();
    document.querySelector("[data-room-light]")?.addEventListener("click", () => {
      localStorage.setItem(KEY, wanted() === "dim" ? "bright" : "dim");
      show();
    });
  });
}

// Asks where two effects do not go together: both, or one instead of the other.

/** @returns promise of "both", "instead", or null */
export function askOpposites(dialog, question) {
  dialog.querySelector("[data-question]").textContent = question;
  dialog.returnValue = "";
  dialog.showModal();
  return new Promise((resolve) => {
    dialog.addEventListener(
      "close",
      () => resolve(["both", "instead"].includes(dialog.returnValue) ? dialog.returnValue : null),
      { once: true },
    );
  });
}

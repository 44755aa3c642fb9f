// Whether keys belong to a field or a dialog rather than to the page.

export const isTyping = (target) =>
  target.closest?.("input:not([type=range]):not([type=checkbox]), textarea, select, dialog[open]") !== null;

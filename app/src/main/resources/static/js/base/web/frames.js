// Work that need be done only once for each frame that is shown.

/** Gives a function that runs something in the next frame, however often it is called before. */
export function inNextFrame(run) {
  let asked = false;
  return () => {
    if (asked) return;
    asked = true;
    requestAnimationFrame(() => {
      asked = false;
      run();
    });
  };
}

package org.nineveils.stack;

/** An item made ready to run over bands. */
sealed interface Step permits VeilStep, EndStep {
  /** Whether the band must hold what lies below before this is run. */
  boolean readsBelow();

  /**
   * Runs over a band.
   *
   * @param w the band to change, and room to work in
   */
  void run(Workspace w, int n, int x, int y);
}

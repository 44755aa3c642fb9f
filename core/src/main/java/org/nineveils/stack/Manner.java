package org.nineveils.stack;

/**
 * How a picture is rendered.
 *
 * @param masks where coverage comes from
 * @param cancel asked before every row
 * @param quick long runs of veils that change each colour by itself may go through a table. Never
 *     for a finished picture
 */
public record Manner(CoverageSource masks, Cancel cancel, boolean quick) {
  /** Exact, everything worked out afresh, never cancelled. */
  public static final Manner EXACT = new Manner(CoverageSource.FRESH, Cancel.NEVER, false);

  /** For previews and small pictures. */
  public static final Manner QUICK = new Manner(CoverageSource.FRESH, Cancel.NEVER, true);
}

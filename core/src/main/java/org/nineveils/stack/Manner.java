package org.nineveils.stack;

import org.nineveils.picture.PictureShelf;

/**
 * How a picture is rendered.
 *
 * @param masks where coverage comes from
 * @param preparations where the maths of veils is kept ready
 * @param shelf pictures that veils may lay over a photo
 * @param cancel asked before every row
 * @param quick long runs of veils that change each colour by itself may go through a table. Never
 *     for a finished picture
 */
public record Manner(
    CoverageSource masks,
    Preparations preparations,
    PictureShelf shelf,
    Cancel cancel,
    boolean quick) {

  /** Exact, nothing kept from before, never cancelled. */
  public static Manner exact() {
    return new Manner(
        CoverageSource.FRESH, new Preparations(), PictureShelf.EMPTY, Cancel.NEVER, false);
  }

  /** Exact or quick, with what is kept from before. */
  public Manner quick(boolean wanted) {
    return new Manner(masks, preparations, shelf, cancel, wanted);
  }

  /** Asked whether the result is still wanted. */
  public Manner cancelledBy(Cancel other) {
    return new Manner(masks, preparations, shelf, other, quick);
  }

  /** With pictures from elsewhere. */
  public Manner picturesFrom(PictureShelf other) {
    return new Manner(masks, preparations, other, cancel, quick);
  }

  /** With maths that is kept ready elsewhere. */
  public Manner preparedBy(Preparations other) {
    return new Manner(masks, other, shelf, cancel, quick);
  }

  /** With coverage from elsewhere. */
  public Manner masksFrom(CoverageSource other) {
    return new Manner(other, preparations, shelf, cancel, quick);
  }
}

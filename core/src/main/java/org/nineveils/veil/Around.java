package org.nineveils.veil;

import org.nineveils.picture.Picture;

/** What a veil that looks around may ask for besides the part of the picture that it is given. */
public interface Around {
  /** The whole picture below the veil, small. */
  Picture overview();

  /**
   * Asked between long steps.
   *
   * @throws RuntimeException that ends the work, if nobody waits for it any more
   */
  void carryOn();
}

package org.nineveils.proof.measure;

import java.util.List;
import org.nineveils.picture.Picture;

/**
 * What became of a photo.
 *
 * @param picture at the size of proofs
 * @param closeUps of its {@link Plain#closeUps}, in their order
 * @param border share of the long side that a frame covers at every border, 0…
 */
public record Finished(Picture picture, List<Picture> closeUps, double border) {
  public Finished {
    closeUps = List.copyOf(closeUps);
  }

  /** Of a photo whose close-up is all of it, without a frame. */
  public static Finished whole(Picture picture) {
    return new Finished(picture, List.of(picture), 0);
  }
}

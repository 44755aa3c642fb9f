package org.nineveils.picture;

import java.util.Optional;

/** Pictures that veils lay over a photo, named by the SHA-256 of their files. */
@FunctionalInterface
public interface PictureShelf {
  /** A shelf without any picture. */
  PictureShelf EMPTY = sha -> Optional.empty();

  /** The picture of that name over white, if it is there. */
  Optional<Picture> find(String sha);

  /** The picture of that name made smaller to a long side; as it is where it is smaller. */
  default Optional<Picture> find(String sha, int longSide) {
    return find(sha).map(picture -> Scaling.toLongSide(picture, longSide));
  }

  /**
   * How much of each pixel of that picture is there, as a grey picture of the size that {@link
   * #find(String, int)} gives; empty where all of it is.
   */
  default Optional<Picture> cover(String sha, int longSide) {
    return Optional.empty();
  }
}

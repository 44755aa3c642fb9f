package org.nineveils.picture;

import java.util.Optional;

/** Pictures that veils lay over a photo, named by the SHA-256 of their files. */
@FunctionalInterface
public interface Shelf {
  /** A shelf without any picture. */
  Shelf EMPTY = sha -> Optional.empty();

  /** The picture of that name, if it is there. */
  Optional<Picture> find(String sha);
}

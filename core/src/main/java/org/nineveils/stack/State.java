package org.nineveils.stack;

import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;

/**
 * A picture between two items of a stack.
 *
 * @param now the picture as far as it has come
 * @param kept what lay below the bundle that is open; null where none is
 */
record State(Part now, Part kept) {
  static State plain(Picture source) {
    return new State(Part.whole(source), null);
  }
}

package org.nineveils.app.wear.fitting;

import java.util.List;
import java.util.Optional;

/** A feature that offers wardrobes; a fitting names its wardrobe as “prefix:id”. */
public interface WardrobeSource {
  /** First part of the names of its wardrobes. */
  String prefix();

  /** What it offers, in the order of its own page. */
  List<Choice> choices();

  /**
   * A wardrobe to choose.
   *
   * @param wardrobe its name, “prefix:id”
   * @param title on the screen
   */
  record Choice(String wardrobe, String title) {}

  /**
   * The wardrobe of that id.
   *
   * @throws org.nineveils.app.base.fault.NotFound with a sentence if it is gone
   */
  Wardrobe open(long id);

  /** Who vouches for the wardrobe of that id; empty for what is the user's own. */
  default Optional<Vouched> vouched(long id) {
    return Optional.empty();
  }
}

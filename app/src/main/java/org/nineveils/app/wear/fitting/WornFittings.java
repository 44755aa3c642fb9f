package org.nineveils.app.wear.fitting;

import java.util.Map;
import org.springframework.stereotype.Component;

/** Fittings by the wardrobe that they wear of, for those who bring wardrobes. */
@Component
public class WornFittings {
  private final FittingStore store;

  WornFittings(FittingStore store) {
    this.store = store;
  }

  /**
   * How many fittings wear something, by wardrobe.
   *
   * @param sort what stands before the colon in the names of wardrobes
   * @return by what stands behind it
   */
  public Map<String, Integer> worn(String sort) {
    return store.worn(sort);
  }

  /** Removes the fittings of a wardrobe. */
  public void remove(String wardrobe) {
    store.removeOf(wardrobe);
  }
}

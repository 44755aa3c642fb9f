package org.nineveils.app.wear.fitting;

import java.util.List;
import java.util.Map;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;

/**
 * What a look is called in names of results: its effects, so that colour and black-and-white of one
 * photo are told apart.
 */
final class LookName {
  /** Most effects that are named. */
  private static final int MOST = 4;

  private LookName() {}

  /** Names of what is seen of the fitting; of the wardrobe where nothing is. */
  static String of(Fitting fitting, Wardrobe wardrobe) {
    Map<String, Offer> offers = wardrobe.offers();
    List<String> names =
        fitting.worn().stream()
            .filter(w -> !w.lifted() && offers.containsKey(w.effect()))
            .map(w -> offers.get(w.effect()).name())
            .toList();
    if (names.isEmpty()) {
      return wardrobe.title();
    }
    String first = String.join(", ", names.subList(0, Math.min(MOST, names.size())));
    return names.size() > MOST ? first + " and more" : first;
  }
}

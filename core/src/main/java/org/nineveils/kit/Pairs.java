package org.nineveils.kit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.veil.Effect;

/** Which effects of a kit may be worn two at a time, by the kit's own rules. */
public final class Pairs {
  private Pairs() {}

  /**
   * Two effects.
   *
   * @param one worn nearer to the plain photo
   * @param two worn over it
   */
  public record Pair(Offer one, Offer two) {
    /** Whether both are of one section, where their order is the kit's and could be another. */
    public boolean isOfOneSection() {
      return one.section() == two.section();
    }
  }

  /**
   * Pairs that go on one after the other without either making way and without a question.
   *
   * @param offers every effect of the kit, in its order
   * @param effects effect by key
   */
  public static List<Pair> allowed(List<Offer> offers, Function<String, Effect> effects) {
    Map<String, Offer> byKey = new LinkedHashMap<>();
    offers.forEach(o -> byKey.put(o.key(), o));
    List<Pair> out = new ArrayList<>();
    for (int i = 0; i < offers.size(); i++) {
      for (int k = i + 1; k < offers.size(); k++) {
        if (areWorn(offers.get(i), offers.get(k), byKey, effects)) {
          out.add(new Pair(offers.get(i), offers.get(k)));
        }
      }
    }
    return out;
  }

  private static boolean areWorn(
      Offer one, Offer two, Map<String, Offer> byKey, Function<String, Effect> effects) {
    Fitting first = Fitting.plain().wear(one, byKey, effects, Fitting.Answer.NONE).fitting();
    Fitting.Change second = first.wear(two, byKey, effects, Fitting.Answer.NONE);
    return second.asks().isEmpty() && second.fitting().worn().size() == 2;
  }
}

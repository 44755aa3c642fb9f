package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.veil.Veil;

/**
 * What a photo wears: bundles in order, the first nearest to the plain photo.
 *
 * @param bundles 0 or more
 */
public record Stack(List<Bundle> bundles) {
  public Stack {
    bundles = List.copyOf(bundles);
  }

  /** A stack of a single bundle. */
  public static Stack of(Bundle bundle) {
    return new Stack(List.of(bundle));
  }

  /** The same with one more veil above all, over the whole picture. */
  public Stack under(Veil veil) {
    List<Bundle> all = new ArrayList<>(bundles);
    all.add(Bundle.of(List.of(veil)));
    return new Stack(all);
  }

  /** Nothing worn. */
  public static Stack plain() {
    return new Stack(List.of());
  }
}

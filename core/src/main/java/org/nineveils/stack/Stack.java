package org.nineveils.stack;

import java.util.List;

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

  /** Nothing worn. */
  public static Stack plain() {
    return new Stack(List.of());
  }
}

package org.nineveils.proof.measure;

import java.util.Optional;
import org.nineveils.colour.Lab;
import org.nineveils.region.Regions;

/** A measure of the skin's colour before and after: medians of L*, a* and b* over the region. */
abstract class OfSkin implements Measure {
  @Override
  public final String region() {
    return Regions.SKIN;
  }

  @Override
  public final Reading of(Pair pair) {
    Optional<Lab> before = pair.median(Pair.Side.PLAIN, Regions.SKIN);
    Optional<Lab> now = pair.median(Pair.Side.FINISHED, Regions.SKIN);
    return before.isPresent() && now.isPresent()
        ? of(before.get(), now.get(), Colourless.is(pair))
        : InRegion.none(region());
  }

  /**
   * The measure of two medians.
   *
   * @param colourless whether the whole picture has lost its colours
   */
  abstract Reading of(Lab before, Lab now, boolean colourless);
}

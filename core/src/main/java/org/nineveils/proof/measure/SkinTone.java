package org.nineveils.proof.measure;

import java.util.Optional;
import org.nineveils.colour.Lab;
import org.nineveils.region.Regions;

/**
 * The median colour of the skin of a photo, plain and finished.
 *
 * @param before plain
 * @param now finished
 */
public record SkinTone(Lab before, Lab now) {
  /** Empty where there is too little skin to say anything. */
  public static Optional<SkinTone> of(Pair pair) {
    return pair.median(Pair.Side.PLAIN, Regions.SKIN)
        .flatMap(
            before ->
                pair.median(Pair.Side.FINISHED, Regions.SKIN)
                    .map(now -> new SkinTone(before, now)));
  }

  /**
   * How far its hue has turned, degrees from −180 to 180: above 0 yellower, below redder. NaN where
   * there is hardly any colour before or now.
   */
  public double turned() {
    boolean faint =
        Math.hypot(before.a(), before.b()) < SkinTurned.FAINT
            || Math.hypot(now.a(), now.b()) < SkinTurned.FAINT;
    return faint ? Double.NaN : SkinTurned.turn(before, now);
  }
}

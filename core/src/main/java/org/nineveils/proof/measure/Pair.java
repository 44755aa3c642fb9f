package org.nineveils.proof.measure;

import java.util.Map;
import java.util.Optional;
import org.nineveils.colour.Lab;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/** A plain photo with its regions, and what became of it, of equal size. */
public final class Pair {
  /** The size that proofs are measured at, pixels of the long side. */
  public static final int LONG_SIDE = 400;

  /** Which of the two. */
  enum Side {
    PLAIN,
    FINISHED
  }

  private final Plain plain;
  private final Seen finished;

  /**
   * Puts two pictures side by side.
   *
   * @param finished of the same size
   * @throws IllegalArgumentException if sizes differ
   */
  public Pair(Plain plain, Picture finished) {
    Area wanted = plain.seen().picture().area();
    if (!wanted.equals(finished.area())) {
      throw new IllegalArgumentException(
          "pictures of one proof have one size, were %s and %s".formatted(wanted, finished.area()));
    }
    this.plain = plain;
    this.finished = new Seen(finished);
  }

  /** The same for a photo that is measured once; see {@link Plain}. */
  public Pair(Picture plain, Picture finished, Map<String, float[]> regions) {
    this(new Plain(plain, regions), finished);
  }

  Seen seen(Side side) {
    return side == Side.PLAIN ? plain.seen() : finished;
  }

  Area area() {
    return finished.picture().area();
  }

  Picture picture(Side side) {
    return seen(side).picture();
  }

  /** See {@link Seen#lab(String, int[])}. */
  float[][] lab(Side side, String of, int[] places) {
    return seen(side).lab(of, places);
  }

  float[] luma(Side side) {
    return seen(side).luma();
  }

  float[] strongChroma(Side side) {
    return seen(side).strongChroma();
  }

  /** See {@link Plain#members}. */
  Optional<boolean[]> members(String region) {
    return plain.members(region);
  }

  /** Medians of L*, a* and b*, each on its own, over a region; see {@link Medians}. */
  Optional<Lab> median(Side side, String region) {
    return plain.inside(region).map(in -> seen(side).median(region, in));
  }
}

package org.nineveils.proof.measure;

import java.util.List;
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
  private final List<View> views;
  private final boolean[] framed;

  /**
   * Puts two pictures side by side.
   *
   * @param made of the same photo
   * @throws IllegalArgumentException if sizes differ
   */
  public Pair(Plain plain, Finished made) {
    Area wanted = plain.seen().picture().area();
    if (!wanted.equals(made.picture().area())) {
      throw new IllegalArgumentException(
          "pictures of one proof have one size, were %s and %s"
              .formatted(wanted, made.picture().area()));
    }
    this.plain = plain;
    this.finished = new Seen(made.picture());
    this.views = View.of(plain, made, finished);
    this.framed = made.border() == 0 ? null : framed(wanted, made.border());
  }

  /** The same where the photo's close-up is all of it. */
  public Pair(Plain plain, Picture finished) {
    this(plain, Finished.whole(finished));
  }

  private static boolean[] framed(Area area, double border) {
    double wide = border * Math.max(area.width(), area.height()) + 1; // and the pixel on its edge
    boolean[] out = new boolean[area.pixels()];
    for (int i = 0; i < out.length; i++) {
      int x = i % area.width();
      int y = i / area.width();
      int near = Math.min(Math.min(x, area.width() - 1 - x), Math.min(y, area.height() - 1 - y));
      out[i] = near < wide;
    }
    return out;
  }

  /** Whether a frame lies on a pixel: what it covers is not judged. */
  boolean isFramed(int pixel) {
    return framed != null && framed[pixel];
  }

  /**
   * Whether the whole picture has lost its own colours, as a black-and-white or a toned one has.
   */
  public boolean isColourless() {
    return Colourless.is(this);
  }

  /** How many pixels no frame lies on. */
  int open() {
    int n = area().pixels();
    if (framed != null) {
      for (boolean is : framed) {
        n -= is ? 1 : 0;
      }
    }
    return n;
  }

  /** What there is to see at the photo's own size. */
  List<View> views() {
    return views;
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

  /** Whether enough of a region is marked for anything to be said of it. */
  boolean has(String region) {
    return members(region).isPresent();
  }

  /** See {@link Plain#inside}. */
  Optional<int[]> inside(String region) {
    return plain.inside(region);
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

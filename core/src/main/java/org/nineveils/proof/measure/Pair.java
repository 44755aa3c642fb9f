package org.nineveils.proof.measure;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.nineveils.colour.Lab;
import org.nineveils.colour.LabLoops;
import org.nineveils.colour.Luma;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/**
 * A plain photo and what became of it, of equal size, with the regions of the photo. What several
 * measures need is worked out once; for one thread.
 */
public final class Pair {
  /** The size that proofs are measured at, pixels of the long side. */
  public static final int LONG_SIDE = 400;

  /** Pixels of a region below which nothing is said of it; a patch of 6 × 6. */
  static final int FEWEST = 36;

  /** Share from which a pixel belongs to a region. */
  private static final float BELONGS = 0.5f;

  /** Which of the two. */
  enum Side {
    PLAIN,
    FINISHED
  }

  private final Map<Side, Picture> pictures = new EnumMap<>(Side.class);
  private final Map<String, float[]> regions;
  private final Map<Side, float[][]> labs = new EnumMap<>(Side.class);
  private final Map<Side, float[]> lumas = new EnumMap<>(Side.class);
  private final Map<Side, float[]> chromas = new EnumMap<>(Side.class);
  private final Map<String, boolean[]> members = new HashMap<>();

  /**
   * Puts two pictures side by side.
   *
   * @param plain sRGB, encoded
   * @param finished of the same size
   * @param regions coverage of every pixel, 0…1, by name
   * @throws IllegalArgumentException if sizes differ
   */
  public Pair(Picture plain, Picture finished, Map<String, float[]> regions) {
    if (!plain.area().equals(finished.area())) {
      throw new IllegalArgumentException(
          "pictures of one proof have one size, were %s and %s"
              .formatted(plain.area(), finished.area()));
    }
    regions.forEach(
        (name, cover) -> {
          if (cover.length != plain.area().pixels()) {
            throw new IllegalArgumentException("region “%s” has another size".formatted(name));
          }
        });
    pictures.put(Side.PLAIN, plain);
    pictures.put(Side.FINISHED, finished);
    this.regions = Map.copyOf(regions);
  }

  Area area() {
    return pictures.get(Side.PLAIN).area();
  }

  Picture picture(Side side) {
    return pictures.get(side);
  }

  /** Distance for a share of the long side. */
  double pixels(double share) {
    return share * pictures.get(Side.PLAIN).longSide();
  }

  /** L*, a*, b* of every pixel. */
  float[][] lab(Side side) {
    return labs.computeIfAbsent(
        side,
        s -> {
          float[][] planes = copied(s);
          LabLoops.fromSrgb(planes[0], planes[1], planes[2], work(), area().pixels());
          return planes;
        });
  }

  /** Luma of every pixel, encoded. */
  float[] luma(Side side) {
    return lumas.computeIfAbsent(
        side,
        s -> {
          Picture p = pictures.get(s);
          float[] out = new float[area().pixels()];
          Luma.run(p.r(), p.g(), p.b(), out, out.length);
          return out;
        });
  }

  /** Chroma of every pixel in Oklab, about 0…0.33. */
  float[] chroma(Side side) {
    return chromas.computeIfAbsent(
        side,
        s -> {
          float[][] planes = copied(s);
          float[][] work = work();
          int n = area().pixels();
          for (int c = 0; c < 3; c++) {
            SrgbLoops.decode(planes[c], work[0], n);
            System.arraycopy(work[0], 0, planes[c], 0, n);
          }
          Oklab.fromLinear(planes[0], planes[1], planes[2], work, n);
          for (int i = 0; i < n; i++) {
            planes[0][i] = (float) Math.hypot(planes[1][i], planes[2][i]);
          }
          return planes[0];
        });
  }

  private float[][] copied(Side side) {
    Picture p = pictures.get(side);
    return new float[][] {p.r().clone(), p.g().clone(), p.b().clone()};
  }

  private float[][] work() {
    return new float[3][area().pixels()];
  }

  /** Coverage of a region; all of the picture for the empty name; empty where it is not named. */
  Optional<float[]> cover(String region) {
    return Optional.ofNullable(regions.get(region));
  }

  /**
   * Which pixels belong to a region, all for the empty name; empty where too few do for anything to
   * be said.
   */
  Optional<boolean[]> members(String region) {
    boolean[] found =
        members.computeIfAbsent(
            region,
            name -> {
              boolean[] in = new boolean[area().pixels()];
              float[] cover = regions.get(name);
              for (int i = 0; i < in.length; i++) {
                in[i] = name.isEmpty() || (cover != null && cover[i] >= BELONGS);
              }
              return in;
            });
    int n = 0;
    for (boolean in : found) {
      n += in ? 1 : 0;
    }
    return n < FEWEST ? Optional.empty() : Optional.of(found);
  }

  /** Medians of L*, a* and b*, each on its own, over a region; see {@link Medians}. */
  Optional<Lab> median(Side side, String region) {
    return members(region).map(in -> Medians.of(lab(side), in));
  }
}

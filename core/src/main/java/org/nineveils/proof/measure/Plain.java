package org.nineveils.proof.measure;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.nineveils.picture.Picture;

/**
 * A plain photo with its regions, as proofs of many effects are measured against it: what is worked
 * out of it once serves all of them. For any threads.
 */
public final class Plain {
  /** Pixels of a region below which nothing is said of it; a patch of 6 × 6. */
  static final int FEWEST = 36;

  /** Share from which a pixel belongs to a region. */
  private static final float BELONGS = 0.5f;

  private final Seen seen;
  private final Map<String, float[]> regions;

  /**
   * Makes it ready.
   *
   * @param picture sRGB, encoded, at the size of proofs
   * @param regions coverage of every pixel, 0…1, by name
   * @throws IllegalArgumentException if a region has another size
   */
  public Plain(Picture picture, Map<String, float[]> regions) {
    this.seen = new Seen(picture);
    this.regions = Map.copyOf(regions);
    regions.forEach(
        (name, cover) -> {
          if (cover.length != picture.area().pixels()) {
            throw new IllegalArgumentException("region “%s” has another size".formatted(name));
          }
        });
  }

  /** Bytes that it comes to hold, at a guess: planes of colours, lumas and blurs. */
  public long bytes() {
    return 20L * Float.BYTES * seen.picture().area().pixels();
  }

  /** The plain photo. */
  public Picture picture() {
    return seen.picture();
  }

  /** Coverage of every pixel by name of the region. */
  public Map<String, float[]> regions() {
    return regions;
  }

  Seen seen() {
    return seen;
  }

  /**
   * Which pixels belong to a region, all for the empty name; empty where too few do for anything to
   * be said.
   */
  Optional<boolean[]> members(String region) {
    return seen.once("members of " + region, () -> counted(region));
  }

  /** The same as a list of pixels. */
  Optional<int[]> inside(String region) {
    return members(region).map(in -> seen.once("inside " + region, () -> listed(in)));
  }

  private static int[] listed(boolean[] in) {
    return IntStream.range(0, in.length).filter(i -> in[i]).toArray();
  }

  /** Places that stand for the whole picture, under the empty name, and for each region. */
  Map<String, int[]> places() {
    return seen.once(
        "places",
        () -> {
          Map<String, int[]> out = new TreeMap<>();
          members("").ifPresent(in -> out.put("", spread(in, Samples.WHOLE)));
          for (String region : regions.keySet()) {
            members(region).ifPresent(in -> out.put(region, spread(in, Samples.OF_REGION)));
          }
          return out;
        });
  }

  /**
   * Some of the members, as evenly as a golden step through them is; all of them where there are
   * fewer.
   */
  private static int[] spread(boolean[] in, int wanted) {
    int[] all = listed(in);
    int n = Math.min(wanted, all.length);
    double step = all.length * (Math.sqrt(5) - 1) / 2;
    // Multiples of the golden section fall evenly wherever one stops (Weyl's sequence).
    return IntStream.range(0, n)
        .map(i -> all[(int) ((i + 0.5) * step % all.length)])
        .sorted()
        .toArray();
  }

  private Optional<boolean[]> counted(String region) {
    boolean[] in = new boolean[seen.picture().area().pixels()];
    float[] cover = regions.get(region);
    int n = 0;
    for (int i = 0; i < in.length; i++) {
      in[i] = region.isEmpty() || (cover != null && cover[i] >= BELONGS);
      n += in[i] ? 1 : 0;
    }
    return n < FEWEST ? Optional.empty() : Optional.of(in);
  }
}

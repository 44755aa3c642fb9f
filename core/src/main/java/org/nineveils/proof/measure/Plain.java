package org.nineveils.proof.measure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Stretched;
import org.nineveils.picture.Area;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Picture;

/**
 * A plain photo with its regions, as proofs of many effects are measured against it: what is worked
 * out of it once serves all of them. For any threads.
 */
public final class Plain {
  /** Pixels of a region below which nothing is said of it; a patch of 4 × 4. */
  static final int FEWEST = 16;

  /** Share from which a pixel belongs to a region. */
  private static final float BELONGS = 0.5f;

  private final Seen seen;
  private final Map<String, float[]> regions;
  private final List<CloseUp> closeUps;
  private final List<Seen> close;

  /**
   * Makes it ready.
   *
   * @param picture sRGB, encoded, at the size of proofs
   * @param regions coverage of every pixel, 0…1, by name
   * @throws IllegalArgumentException if a region has another size
   */
  public Plain(Picture picture, Map<String, float[]> regions) {
    this(picture, regions, List.of(CloseUp.whole(picture)));
  }

  /**
   * A photo of which places are seen at its own size.
   *
   * @param photo at its own size
   * @param picture the same at the size of proofs
   */
  public static Plain of(Picture photo, Picture picture, Map<String, float[]> regions) {
    return photo.longSide() <= Pair.LONG_SIDE
        ? new Plain(picture, regions)
        : new Plain(picture, regions, CloseUpPlaces.of(photo, picture, regions));
  }

  /**
   * The same with close-ups that were cut before.
   *
   * @param closeUps of the photo that the picture is of, 1 or more
   */
  public Plain(Picture picture, Map<String, float[]> regions, List<CloseUp> closeUps) {
    this.seen = new Seen(picture);
    this.regions = Map.copyOf(regions);
    this.closeUps = List.copyOf(closeUps);
    this.close =
        closeUps.stream()
            .map(
                c ->
                    c.isWhole() && c.pixels().equals(picture)
                        ? seen
                        : new Seen(c.pixels(), c.longSide()))
            .toList();
    regions.forEach(
        (name, cover) -> {
          if (cover.length != picture.area().pixels()) {
            throw new IllegalArgumentException("region “%s” has another size".formatted(name));
          }
        });
  }

  /** Bytes that it comes to hold, at a guess: planes of colours, lumas and blurs. */
  public long bytes() {
    long pixels = seen.picture().area().pixels();
    for (CloseUp cut : closeUps) {
      pixels += cut.pixels().area().pixels();
    }
    return 20L * Float.BYTES * pixels;
  }

  /** Places of the photo at its own size. */
  public List<CloseUp> closeUps() {
    return closeUps;
  }

  /** What is seen of one of them. */
  Seen close(int index) {
    return close.get(index);
  }

  /** Which pixels of a close-up belong to a plane over the whole picture that says so. */
  boolean[] within(int index, String name, Supplier<float[]> whole) {
    return close(index)
        .once(
            "within " + name,
            () -> {
              CloseUp cut = closeUps.get(index);
              Area area = cut.pixels().area();
              Plane small = new Plane(seen.picture().area(), whole.get());
              var place = new Stretched.Place(cut.x(), cut.y(), cut.width(), cut.height());
              float[] cover = Stretched.to(place, 1, area, small).values();
              boolean[] out = new boolean[cover.length];
              for (int i = 0; i < out.length; i++) {
                out[i] = cover[i] >= BELONGS && isInside(cut, i);
              }
              return out;
            });
  }

  /** Whether a pixel lies far enough from where a close-up was cut. */
  private static boolean isInside(CloseUp cut, int pixel) {
    Area area = cut.pixels().area();
    int x = pixel % area.width();
    int y = pixel / area.width();
    int near = Math.min(Math.min(x, area.width() - 1 - x), Math.min(y, area.height() - 1 - y));
    return cut.isWhole() || near >= CloseUpPlaces.MARGIN;
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

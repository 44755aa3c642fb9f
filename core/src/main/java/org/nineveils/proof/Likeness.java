package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.nineveils.proof.measure.Samples;

/**
 * How far effects lie from one another: the mean ΔE00 over photos.
 *
 * @param pairs of all effects, by the place of the first and then of the second
 */
public record Likeness(List<Pair> pairs) {
  public Likeness {
    pairs = List.copyOf(pairs);
  }

  /**
   * Photos up to which all places are looked at; of more photos fewer places each, so that a large
   * wall takes no longer: what is told is a mean over both.
   */
  private static final int PHOTOS_WHOLE = 7;

  /**
   * An effect on a photo.
   *
   * @param colours of the picture that it makes
   * @param on where it acts
   */
  public record Look(Samples colours, OnRegions on) {}

  /**
   * Two effects.
   *
   * @param one place of the first
   * @param two place of the second, above that of the first
   * @param mean ΔE00 over the photos on which both can be seen; NaN where there is none, and then
   *     nothing is known of them
   * @param most ΔE00 on the photo where they differ most
   * @param photo place of that photo; −1 where there is none
   */
  public record Pair(int one, int two, double mean, double most, int photo) {
    /** Whether it is known how far they lie from one another. */
    public boolean isKnown() {
      return photo >= 0;
    }
  }

  /**
   * Compares all with all. Regions that a brush-on effect covers are compared on their own, and the
   * whole picture where one of the two covers more than regions; what differs more counts: a
   * brush-on effect is not like another because most of the picture is left by both. A photo on
   * which one of them cannot be seen says nothing.
   *
   * @param looks by effect, then by photo; null where there is no proof
   */
  public static Likeness of(List<List<Look>> looks) {
    int n = looks.size();
    int photos = looks.stream().mapToInt(List::size).max().orElse(0);
    int every = Math.max(1, (photos + PHOTOS_WHOLE - 1) / PHOTOS_WHOLE);
    List<Pair> pairs =
        IntStream.range(0, n)
            .parallel()
            .mapToObj(
                i ->
                    IntStream.range(i + 1, n)
                        .mapToObj(k -> compare(i, k, looks.get(i), looks.get(k), every))
                        .toList())
            .flatMap(List::stream)
            .toList();
    return new Likeness(pairs);
  }

  private static Pair compare(int one, int two, List<Look> a, List<Look> b, int every) {
    double sum = 0;
    int seen = 0;
    double most = -1;
    int where = -1;
    for (int photo = 0; photo < Math.min(a.size(), b.size()); photo++) {
      Look left = a.get(photo);
      Look right = b.get(photo);
      if (left == null || right == null || left.on().isHidden() || right.on().isHidden()) {
        continue;
      }
      double d = apart(left, right, every);
      if (Double.isNaN(d)) {
        continue;
      }
      sum += d;
      seen++;
      if (d > most) {
        most = d;
        where = photo;
      }
    }
    return new Pair(one, two, sum / seen, most, where);
  }

  /** How far two lie apart on a photo; NaN where they have no place in common. */
  private static double apart(Look one, Look two, int every) {
    Set<String> regions = new HashSet<>(one.on().acts());
    regions.addAll(two.on().acts());
    boolean whole = one.on().everywhere() || two.on().everywhere();
    double there =
        regions.isEmpty() ? Double.NaN : one.colours().difference(two.colours(), regions, every);
    double all = whole ? one.colours().difference(two.colours(), Set.of(), every) : Double.NaN;
    return Double.isNaN(there) ? all : Double.isNaN(all) ? there : Math.max(there, all);
  }

  /**
   * Pairs that can hardly be told apart, the nearest first: nearer to one another than a bound on
   * the mean, and on no photo farther than twice as much. One that does something on a single photo
   * is not like one that never does.
   */
  public List<Pair> below(double bound) {
    return pairs.stream()
        .filter(p -> p.isKnown() && p.mean() < bound && p.most() < 2 * bound)
        .sorted(Comparator.comparingDouble(Pair::mean))
        .toList();
  }

  /**
   * A map on which effects lie about as far from one another as they look: classical scaling.
   *
   * @param n how many effects there are, 1 or more
   * @return two coordinates each, in units of ΔE00 about their middle
   */
  public List<double[]> map(int n) {
    double[][] distances = new double[n][n];
    double far = pairs.stream().filter(Pair::isKnown).mapToDouble(Pair::mean).average().orElse(1);
    for (Pair p : pairs) {
      distances[p.one()][p.two()] = p.isKnown() ? p.mean() : far;
      distances[p.two()][p.one()] = distances[p.one()][p.two()];
    }
    return new ArrayList<>(ClassicalScaling.of(distances));
  }
}

package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleFunction;

/**
 * How far something can go until a limit is passed.
 *
 * @param curve what was looked at, from little to much
 * @param at the farthest value at which enough photos are within, all values before it too
 */
public record Finder(List<Point> curve, double at) {
  /**
   * One value.
   *
   * @param at the value
   * @param shares how far each photo went towards its limit: 1 is at it
   */
  public record Point(double at, List<Double> shares) {
    public Point {
      shares = List.copyOf(shares);
    }

    /** The photo that went farthest; 0 where there is none. */
    public double worst() {
      return shares.stream().mapToDouble(s -> s).max().orElse(0);
    }

    /** How many are within. */
    public long within() {
      return shares.stream().filter(s -> s <= 1).count();
    }

    /** Whether a share of the photos, 0…1, is within. */
    public boolean holds(double wanted) {
      return within() >= Math.ceil(wanted * shares.size() - 1e-9);
    }
  }

  public Finder {
    curve = List.copyOf(curve);
  }

  /**
   * What single photos go up to, taken together.
   *
   * @param each found for one photo each, all over the same values
   * @param wanted share of the photos that must be within, 0…1
   * @throws IllegalArgumentException if there is none
   */
  public static Finder together(List<Finder> each, double wanted) {
    if (each.isEmpty()) {
      throw new IllegalArgumentException("there is no photo to look at");
    }
    List<Point> curve = new ArrayList<>();
    for (int i = 0; i < each.get(0).curve().size(); i++) {
      int k = i;
      List<Double> shares = each.stream().flatMap(f -> f.curve().get(k).shares().stream()).toList();
      curve.add(new Point(each.get(0).curve().get(i).at(), shares));
    }
    List<Double> ends = each.stream().map(Finder::at).sorted(Comparator.reverseOrder()).toList();
    int needed = (int) Math.max(1, Math.ceil(wanted * ends.size() - 1e-9));
    return new Finder(curve, ends.get(needed - 1));
  }

  /**
   * Goes from nothing to all in steps, and halves the step in which a limit is passed.
   *
   * @param from where all is surely within; looked at as well
   * @param to farthest value
   * @param steps 1 or more
   * @param precision to which the value is found
   * @param wanted share of the photos that must be within, 0…1
   * @param shares what each photo makes of a value
   */
  public static Finder between(
      double from,
      double to,
      int steps,
      double precision,
      double wanted,
      DoubleFunction<List<Double>> shares) {
    List<Point> curve = new ArrayList<>();
    double good = from;
    double bad = Double.NaN;
    for (int i = 0; i <= steps; i++) {
      double at = from + (to - from) * i / steps;
      Point point = new Point(at, shares.apply(at));
      curve.add(point);
      if (!Double.isNaN(bad)) {
        continue; // the rest is for the curve alone
      }
      if (point.holds(wanted)) {
        good = at;
      } else {
        bad = at;
      }
    }
    while (!Double.isNaN(bad) && Math.abs(bad - good) > precision * 1.0000001) {
      double middle = rounded((good + bad) / 2, precision);
      if (middle == good || middle == bad) {
        break;
      }
      if (new Point(middle, shares.apply(middle)).holds(wanted)) {
        good = middle;
      } else {
        bad = middle;
      }
    }
    return new Finder(curve, good);
  }

  /** To the precision, and to what is written of it: 0.94 and not a little more. */
  private static double rounded(double value, double precision) {
    return Math.rint(Math.rint(value / precision) * precision * 1e9) / 1e9;
  }
}

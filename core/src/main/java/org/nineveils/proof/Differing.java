package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Picks the few things that differ most: each one the farthest from those that were picked before.
 *
 * <p>Source: T. F. Gonzalez, "Clustering to minimize the maximum intercluster distance",
 * Theoretical Computer Science 38 (1985), 293–306: farthest-first traversal.
 */
public final class Differing {
  private Differing() {}

  /**
   * Picks some.
   *
   * @param points of equal length, in units that count alike
   * @param wanted how many; all where there are fewer
   * @return their places, in the order in which they were picked; the first is the one farthest
   *     from the middle of all
   */
  public static List<Integer> pick(List<double[]> points, int wanted) {
    List<Integer> picked = new ArrayList<>();
    if (points.isEmpty()) {
      return picked;
    }
    double[] far = new double[points.size()];
    double[] middle = middle(points);
    for (int i = 0; i < far.length; i++) {
      far[i] = distance(points.get(i), middle);
    }
    int next = farthest(far);
    Arrays.fill(far, Double.POSITIVE_INFINITY);
    while (picked.size() < Math.min(wanted, points.size())) {
      picked.add(next);
      far[next] = -1;
      for (int i = 0; i < far.length; i++) {
        far[i] = Math.min(far[i], distance(points.get(i), points.get(next)));
      }
      picked.forEach(p -> far[p] = -1);
      next = farthest(far);
    }
    return picked;
  }

  private static double[] middle(List<double[]> points) {
    double[] out = new double[points.get(0).length];
    for (double[] p : points) {
      for (int i = 0; i < out.length; i++) {
        out[i] += p[i] / points.size();
      }
    }
    return out;
  }

  private static int farthest(double[] far) {
    int best = 0;
    for (int i = 1; i < far.length; i++) {
      best = far[i] > far[best] ? i : best;
    }
    return best;
  }

  private static double distance(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += (a[i] - b[i]) * (a[i] - b[i]);
    }
    return Math.sqrt(sum);
  }
}

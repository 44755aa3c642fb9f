package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.math3.linear.EigenDecomposition;
import org.apache.commons.math3.linear.MatrixUtils;
import org.apache.commons.math3.linear.RealMatrix;

/**
 * Points in a plane that lie about as far from one another as given distances say: the two
 * strongest eigenvectors of the doubly centred matrix −½ J D² J, each times the root of its
 * eigenvalue.
 *
 * <p>Source: W. S. Torgerson, "Multidimensional scaling: I. Theory and method", Psychometrika 17
 * (1952), 401–419. Distances of points in a plane come back exactly, up to a turn and a mirror.
 */
public final class ClassicalScaling {
  private ClassicalScaling() {}

  /**
   * Places the points.
   *
   * @param distances symmetric, 0 on the diagonal, n · n with n ≥ 1
   * @return n points x, y about their middle; the first point that is off the middle lies to the
   *     left and above or on its axes, so that a map does not turn over from one time to the next
   */
  public static List<double[]> of(double[][] distances) {
    int n = distances.length;
    RealMatrix squares = MatrixUtils.createRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        squares.setEntry(i, k, -0.5 * distances[i][k] * distances[i][k]);
      }
    }
    EigenDecomposition own = new EigenDecomposition(centred(squares));
    double[] values = own.getRealEigenvalues();
    List<Integer> order =
        IntStream.range(0, n)
            .boxed()
            .sorted(Comparator.comparingDouble((Integer i) -> -values[i]))
            .toList();
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      out.add(new double[2]);
    }
    for (int axis = 0; axis < Math.min(2, n); axis++) {
      int column = order.get(axis);
      double root = Math.sqrt(Math.max(0, values[column]));
      double[] vector = own.getEigenvector(column).toArray();
      double sign = sign(vector);
      for (int i = 0; i < n; i++) {
        out.get(i)[axis] = sign * root * vector[i];
      }
    }
    return out;
  }

  private static double sign(double[] vector) {
    for (double v : vector) {
      if (Math.abs(v) > 1e-9) {
        return v > 0 ? -1 : 1;
      }
    }
    return 1;
  }

  private static RealMatrix centred(RealMatrix m) {
    int n = m.getRowDimension();
    double[] means = new double[n];
    double all = 0;
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        means[i] += m.getEntry(i, k) / n;
      }
      all += means[i] / n;
    }
    RealMatrix out = MatrixUtils.createRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int k = 0; k < n; k++) {
        out.setEntry(i, k, m.getEntry(i, k) - means[i] - means[k] + all);
      }
    }
    return out;
  }
}

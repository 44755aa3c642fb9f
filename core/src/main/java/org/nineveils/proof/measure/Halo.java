package org.nineveils.proof.measure;

import java.util.stream.IntStream;

/**
 * Light and dark seams beside edges at the photo's own size, as too much sharpening leaves them:
 * beside strong edges, how much farther a pixel lies from its surroundings than its tone alone
 * explains. The tone is explained by the mean of what pixels of its luma have become; seams are
 * what is left of that in the direction of the edge's own contrast.
 */
final class Halo implements Measure {
  /** What lies around a pixel: standard deviation of a blur, share of the long side. */
  private static final double AROUND = 0.0015;

  /** Luma that a pixel beside a strong edge differs from its surroundings by. */
  private static final float STRONG = 0.04f;

  private static final int TONES = 64;

  /** Share of the picture below which its edges say nothing. */
  private static final double FEWEST = 0.002;

  @Override
  public String id() {
    return "halo";
  }

  @Override
  public String label() {
    return "Halo";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public double limit() {
    return 4;
  }

  @Override
  public Reading of(Pair pair) {
    double seams = 0;
    long beside = 0;
    long pixels = 0;
    for (View view : pair.views()) {
      Seen plain = view.before();
      Edges edges =
          plain.once(
              "edges " + view.border(),
              () -> Edges.of(plain, view.share(AROUND, 1.5), view.open(view.all())));
      float[] before = plain.luma();
      float[] now = view.now().luma();
      double[] moved = edges.moved(before, now);
      for (int k = 0; k < edges.strong.length; k++) {
        int i = edges.strong[k];
        seams += edges.sign[k] * (now[i] - before[i] - edges.at(moved, i));
      }
      beside += edges.strong.length;
      pixels += before.length;
    }
    return beside < FEWEST * pixels
        ? Reading.not("there are hardly any strong edges on this photo")
        : Reading.of(Math.max(0, 100 * seams / beside));
  }

  /**
   * What the plain photo says for all its proofs.
   *
   * @param low of every pixel the tone below its luma
   * @param part how far it lies from there to the next, 0…1
   * @param weights how much of the picture each tone stands for
   * @param strong pixels beside a strong edge
   * @param sign of what they differ from their surroundings by
   * @param inside pixels that count
   */
  @SuppressWarnings("ArrayRecordComponent") // never compared
  private record Edges(
      byte[] low, float[] part, double[] weights, int[] strong, float[] sign, boolean[] inside) {
    static Edges of(Seen plain, double share, boolean[] inside) {
      float[] luma = plain.luma();
      float[] around = plain.blurred(share);
      byte[] low = new byte[luma.length];
      float[] part = new float[luma.length];
      double[] weights = new double[TONES + 1];
      for (int i = 0; i < luma.length; i++) {
        float at = Math.min(1, Math.max(0, luma[i])) * TONES;
        low[i] = (byte) Math.min(TONES - 1, (int) at);
        part[i] = at - low[i];
        if (inside[i]) {
          weights[low[i]] += 1 - part[i];
          weights[low[i] + 1] += part[i];
        }
      }
      int[] strong =
          IntStream.range(0, luma.length)
              .filter(i -> inside[i] && Math.abs(luma[i] - around[i]) >= STRONG)
              .toArray();
      float[] sign = new float[strong.length];
      for (int k = 0; k < strong.length; k++) {
        sign[k] = Math.signum(luma[strong[k]] - around[strong[k]]);
      }
      return new Edges(low, part, weights, strong, sign, inside);
    }

    /** What pixels of each tone have moved by on average. */
    double[] moved(float[] before, float[] now) {
      double[] sums = new double[TONES + 1];
      for (int i = 0; i < before.length; i++) {
        double by = inside[i] ? now[i] - before[i] : 0;
        double far = part[i] * by;
        sums[low[i]] += by - far;
        sums[low[i] + 1] += far;
      }
      for (int k = 0; k <= TONES; k++) {
        sums[k] = weights[k] > 0 ? sums[k] / weights[k] : 0;
      }
      return sums;
    }

    double at(double[] moved, int i) {
      return moved[low[i]] + (moved[low[i] + 1] - moved[low[i]]) * part[i];
    }
  }
}

package org.nineveils.proof.measure;

import java.util.stream.IntStream;

/**
 * Light and dark seams beside edges, as too much sharpening leaves them: beside strong edges, how
 * much farther a pixel lies from its surroundings than its tone alone explains. The tone is
 * explained by the mean of what pixels of its luma have become; seams are what is left of that in
 * the direction of the edge's own contrast.
 */
final class Halo implements Measure {
  /** What lies around a pixel: standard deviation of a blur, share of the long side. */
  private static final double AROUND = 0.006;

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
    return 3;
  }

  @Override
  public Reading of(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    Edges edges = plain.once("edges", () -> Edges.of(plain));
    int[] strong = edges.strong;
    if (strong.length < FEWEST * pair.area().pixels()) {
      return Reading.not("there are hardly any strong edges on this photo");
    }
    float[] before = plain.luma();
    float[] now = pair.luma(Pair.Side.FINISHED);
    double[] moved = edges.moved(before, now);
    double seams = 0;
    for (int k = 0; k < strong.length; k++) {
      int i = strong[k];
      seams += edges.sign[k] * (now[i] - before[i] - edges.at(moved, i));
    }
    return Reading.of(Math.max(0, 100 * seams / strong.length));
  }

  /**
   * What the plain photo says for all its proofs.
   *
   * @param low of every pixel the tone below its luma
   * @param part how far it lies from there to the next, 0…1
   * @param weights how much of the picture each tone stands for
   * @param strong pixels beside a strong edge
   * @param sign of what they differ from their surroundings by
   */
  @SuppressWarnings("ArrayRecordComponent") // never compared
  private record Edges(byte[] low, float[] part, double[] weights, int[] strong, float[] sign) {
    static Edges of(Seen plain) {
      float[] luma = plain.luma();
      float[] around = plain.blurred(AROUND);
      byte[] low = new byte[luma.length];
      float[] part = new float[luma.length];
      double[] weights = new double[TONES + 1];
      for (int i = 0; i < luma.length; i++) {
        float at = Math.min(1, Math.max(0, luma[i])) * TONES;
        low[i] = (byte) Math.min(TONES - 1, (int) at);
        part[i] = at - low[i];
        weights[low[i]] += 1 - part[i];
        weights[low[i] + 1] += part[i];
      }
      int[] strong =
          IntStream.range(0, luma.length)
              .filter(i -> Math.abs(luma[i] - around[i]) >= STRONG)
              .toArray();
      float[] sign = new float[strong.length];
      for (int k = 0; k < strong.length; k++) {
        sign[k] = Math.signum(luma[strong[k]] - around[strong[k]]);
      }
      return new Edges(low, part, weights, strong, sign);
    }

    /** What pixels of each tone have moved by on average. */
    double[] moved(float[] before, float[] now) {
      double[] sums = new double[TONES + 1];
      for (int i = 0; i < before.length; i++) {
        double by = now[i] - before[i];
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

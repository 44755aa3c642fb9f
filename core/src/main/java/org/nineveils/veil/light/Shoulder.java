package org.nineveils.veil.light;

import org.nineveils.colour.CubeRoot;
import org.nineveils.colour.Oklab;
import org.nineveils.kernel.Scratch;

/**
 * Bends the light above a knee so that what exposure pushes beyond white comes to lie below it: the
 * brightest light that the file can hold, white · gain, becomes white, nothing is cut off, and the
 * order of tones is kept.
 *
 * <p>Above the knee k: k + t / (1 + c · t) with t = x − k, which leaves the straight line with
 * slope 1; c is chosen so that gain comes to 1. Without a gain above 1 there is nothing to bend.
 * The knee lies at 1 − 0.8 · amount; the bent light counts by 1 − (1 − amount)⁸ and the straight
 * light, cut off at white, for the rest, so that a little amount does little.
 *
 * @param knee linear light, 0…1, below which nothing changes
 * @param bend c above
 * @param weight of the bent light, 0…1
 */
record Shoulder(float knee, float bend, float weight) {
  private static final Scratch ROOM = new Scratch(3, 16);

  /** How far down the knee comes at full amount. */
  private static final double REACH = 0.8;

  /** Amount from which the bent light counts for all. */
  private static final double FADED_IN = 0.25;

  /**
   * The shoulder for an exposure.
   *
   * @param gain factor of exposure
   * @param amount 0…1
   * @return null where nothing is bent
   */
  static Shoulder of(double gain, double amount) {
    if (gain <= 1 || amount == 0) {
      return null;
    }
    double knee = 1 - REACH * amount;
    double in = Math.min(1, amount / FADED_IN);
    double weight = in * in * (3 - 2 * in);
    double bend = 1 / (1 - knee) - 1 / (gain - knee);
    return new Shoulder((float) knee, (float) bend, (float) weight);
  }

  /**
   * Bends n colours of linear light in place, by their largest channel; the others keep their share
   * of it, so the hue in Oklab stays. The more a colour is bent, the more it goes towards the grey
   * of that channel, straight in Oklab and so at its hue: what lies far beyond white comes to it
   * smoothly.
   *
   * @param r 0…gain; values beyond come out slightly above 1
   * @param most scratch, n values
   * @param share scratch, n values
   * @param work scratch, three planes of n values
   */
  void run(float[] r, float[] g, float[] b, float[] most, float[] share, float[][] work, int n) {
    float k = knee;
    float c = bend;
    float[][] straight = ROOM.planes();
    cut(r, straight[0], n);
    cut(g, straight[1], n);
    cut(b, straight[2], n);
    for (int i = 0; i < n; i++) {
      most[i] = Math.max(r[i], Math.max(g[i], b[i]));
    }
    for (int i = 0; i < n; i++) {
      float t = Math.max(0f, most[i] - k);
      float bent = Math.min(k, most[i]) + t / (1 + c * t);
      share[i] = bent / Math.max(most[i], k);
      most[i] = bent;
    }
    for (int i = 0; i < n; i++) {
      share[i] = most[i] < k ? 1 : share[i]; // below the knee nothing is divided
    }
    scale(r, share, n);
    scale(g, share, n);
    scale(b, share, n);
    Oklab.fromLinear(r, g, b, work, n);
    for (int i = 0; i < n; i++) {
      work[0][i] = Math.max(k, most[i]);
    }
    CubeRoot.run(work[0], n); // lightness of the grey that it goes to
    for (int i = 0; i < n; i++) {
      float white = (1 - share[i]) * (1 - share[i]);
      r[i] += (work[0][i] - r[i]) * white;
      g[i] -= g[i] * white;
      b[i] -= b[i] * white;
    }
    Oklab.toLinear(r, g, b, work, n);
    for (int i = 0; i < n; i++) {
      share[i] = most[i] < k ? 0 : weight;
    }
    mix(straight[0], share, r, n);
    mix(straight[1], share, g, n);
    mix(straight[2], share, b, n);
  }

  private static void cut(float[] in, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.min(1f, in[i]);
    }
  }

  private static void scale(float[] channel, float[] share, int n) {
    for (int i = 0; i < n; i++) {
      channel[i] *= share[i];
    }
  }

  private static void mix(float[] straight, float[] share, float[] bent, int n) {
    for (int i = 0; i < n; i++) {
      bent[i] = straight[i] + (bent[i] - straight[i]) * share[i];
    }
  }
}

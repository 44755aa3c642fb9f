package org.nineveils.veil.light;

/**
 * Bends the light above a knee so that what exposure pushes beyond white comes to lie below it: the
 * brightest light that the file can hold, white · gain, becomes white, nothing is cut off, and the
 * order of tones is kept.
 *
 * <p>Above the knee k: k + t / (1 + c · t) with t = x − k, which leaves the straight line with
 * slope 1; c is chosen so that gain comes to 1. Without a gain above 1 there is nothing to bend.
 *
 * @param knee linear light, 0…1, below which nothing changes
 * @param bend c above
 */
record Shoulder(float knee, float bend) {
  /** How far down the knee comes at full amount. */
  private static final double REACH = 0.8;

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
    return new Shoulder((float) knee, (float) (1 / (1 - knee) - 1 / (gain - knee)));
  }

  /**
   * Bends n colours of linear light in place, by their largest channel; the others keep their share
   * of it, so hue stays. The more a colour is bent, the more white is mixed in: what lies far
   * beyond white comes to it smoothly.
   *
   * @param r 0…gain; values beyond come out slightly above 1
   * @param most scratch, n values
   * @param share scratch, n values
   */
  void run(float[] r, float[] g, float[] b, float[] most, float[] share, int n) {
    float k = knee;
    float c = bend;
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
    bend(r, most, share, n);
    bend(g, most, share, n);
    bend(b, most, share, n);
  }

  private static void bend(float[] channel, float[] most, float[] share, int n) {
    for (int i = 0; i < n; i++) {
      float own = channel[i] * share[i];
      float white = (1 - share[i]) * (1 - share[i]);
      channel[i] = own + (most[i] - own) * white;
    }
  }
}

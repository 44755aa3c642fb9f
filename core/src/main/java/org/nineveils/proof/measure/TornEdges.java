package org.nineveils.proof.measure;

/**
 * Torn edges of masks: places where the plain photo goes over smoothly and what was done to it does
 * not. What was done is the difference of L*a*b*; at a place the means of six pixels to either
 * side, across or down, lie five units and more apart in it (and five times as far as they do in
 * the median of all places, so that grain tears nothing), while those of the plain photo lie less
 * than two apart. Per mille of the picture.
 */
final class TornEdges implements Measure {
  private static final double JUMP = 5;
  private static final double SMOOTH = 2;

  /** How many times the median of all places a jump must be. */
  private static final double OVER_GRAIN = 5;

  private static final int PER_UNIT = 64;
  private static final int BINS = 256 * PER_UNIT;

  @Override
  public String id() {
    return "torn";
  }

  @Override
  public String label() {
    return "Torn edges";
  }

  @Override
  public String word() {
    return "torn";
  }

  @Override
  public String unit() {
    return "‰";
  }

  @Override
  public double limit() {
    return 2;
  }

  @Override
  public Reading of(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    float[][] before = plain.lab();
    float[][] now = pair.seen(Pair.Side.FINISHED).lab();
    int w = pair.area().width();
    int h = pair.area().height();
    float[][] made = new float[3][before[0].length];
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < made[c].length; i++) {
        made[c][i] = now[c][i] - before[c][i];
      }
    }
    boolean[] torn = new boolean[w * h];
    for (boolean down : new boolean[] {false, true}) {
      float[] was = plain.once("steps " + down, () -> steps(before, w, h, down));
      float[] is = steps(made, w, h, down);
      double jump = Math.max(JUMP, OVER_GRAIN * median(is));
      for (int i = 0; i < torn.length; i++) {
        torn[i] |= is[i] >= jump && was[i] < SMOOTH && !isFramed(pair, i, down ? w : 1);
      }
    }
    int n = 0;
    for (boolean is : torn) {
      n += is ? 1 : 0;
    }
    return Reading.of(1000.0 * n / torn.length);
  }

  /**
   * Whether a frame lies on any of the pixels that are looked at; steps are 0 where there are none.
   */
  private static boolean isFramed(Pair pair, int i, int along) {
    return pair.isFramed(i - 2 * along) || pair.isFramed(i) || pair.isFramed(i + along);
  }

  /** At every pixel the distance between the means of 2 × 3 pixels before it and from it on. */
  private static float[] steps(float[][] lab, int w, int h, boolean down) {
    int along = down ? w : 1;
    int across = down ? 1 : w;
    int n = w * h;
    float[] squares = new float[n];
    float[] three = new float[n];
    for (float[] plane : lab) {
      for (int i = across; i < n - across; i++) {
        three[i] = plane[i - across] + plane[i] + plane[i + across];
      }
      for (int i = 2 * along; i < n - along; i++) {
        float d = three[i] + three[i + along] - three[i - along] - three[i - 2 * along];
        squares[i] += d * d;
      }
    }
    float[] out = new float[n];
    int left = down ? 1 : 2;
    for (int y = down ? 2 : 1; y < h - 1; y++) {
      for (int i = y * w + left; i < (y + 1) * w - 1; i++) {
        out[i] = (float) Math.sqrt(squares[i]) / 6;
      }
    }
    return out;
  }

  /** By counting, to a 64th of a unit. */
  private static double median(float[] values) {
    int[] counts = new int[BINS];
    for (float v : values) {
      counts[Math.min(BINS - 1, (int) (v * PER_UNIT))]++;
    }
    int bin = 0;
    int below = counts[0];
    while (2 * below < values.length) {
      below += counts[++bin];
    }
    return (bin + 0.5) / PER_UNIT;
  }
}

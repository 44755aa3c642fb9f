package org.nineveils.proof.measure;

/**
 * Steps where tones went over smoothly, across and down, each weighed by its height: a place counts
 * where the means of four pixels to either side of it lie three codes of 256 or more farther apart
 * than they did, where most of that happens within two pixels, and where either side is level by
 * itself; it counts as the square of the added height in threes of a code. Means over three pixels
 * along the step are looked at, so that grain does not hide it. Per cent of all places at which the
 * plain photo went over smoothly (less than five codes), in the direction that has more.
 */
final class Banding implements Measure {
  private static final int SIDE = 4;
  private static final float SMOOTH = 5;
  private static final float STEP = 3;

  /** Of a step's height, what must happen within two pixels, and what either side may slope by. */
  private static final float SHARP = 0.7f;

  private static final float LEVEL = 0.3f;

  /** Grain that is left in means; sides within this are level. */
  private static final float GRAIN = 1;

  private static final float MOST = 400;

  @Override
  public String id() {
    return "banding";
  }

  @Override
  public String label() {
    return "Banding";
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
    Seen finished = pair.seen(Pair.Side.FINISHED);
    int w = pair.area().width();
    int h = pair.area().height();
    double most = -1;
    for (boolean down : new boolean[] {false, true}) {
      float[] was = plain.once("along " + down, () -> along(plain.luma(), w, h, down));
      float[] is = along(finished.luma(), w, h, down);
      most = Math.max(most, share(pair, was, is, down));
    }
    return most < 0 ? Reading.not("hardly anything is smooth on this photo") : Reading.of(most);
  }

  /**
   * Lumas in codes, the means of three pixels across the direction that is looked along; laid out
   * so that this direction runs fastest.
   */
  private static float[] along(float[] luma, int w, int h, boolean down) {
    int n = down ? h : w;
    int lines = down ? w : h;
    int step = down ? w : 1;
    int line = down ? 1 : w;
    float[] out = new float[luma.length];
    for (int k = 0; k < lines; k++) {
      int above = Math.max(0, k - 1) * line;
      int below = Math.min(lines - 1, k + 1) * line;
      for (int i = 0; i < n; i++) {
        float sum = luma[above + i * step] + luma[k * line + i * step] + luma[below + i * step];
        out[k * n + i] = 85 * sum; // a third of 255
      }
    }
    return out;
  }

  /** −1 where too little is smooth. */
  private static double share(Pair pair, float[] was, float[] is, boolean down) {
    int w = pair.area().width();
    int n = down ? pair.area().height() : w;
    int lines = was.length / n;
    long smooth = 0;
    double steps = 0;
    float[] heights = new float[n];
    for (int k = 0; k < lines; k++) {
      int from = k * n;
      for (int i = SIDE - 1; i + SIDE < n; i++) {
        float before = rise(was, from + i);
        int first = i - SIDE + 1;
        int last = i + SIDE;
        boolean framed =
            pair.isFramed(down ? first * w + k : from + first)
                || pair.isFramed(down ? last * w + k : from + last);
        boolean isSmooth = Math.abs(before) < SMOOTH && !framed;
        smooth += isSmooth ? 1 : 0;
        heights[i] = isSmooth ? height(is, from + i, before) : 0;
      }
      for (int i = SIDE - 1; i + SIDE < n; i++) {
        boolean highest = heights[i] > heights[i - 1] && heights[i] >= heights[i + 1];
        if (heights[i] >= STEP && highest) {
          float threes = heights[i] / STEP;
          steps += Math.min(MOST, threes * threes);
        }
      }
    }
    return smooth < Plain.FEWEST ? -1 : 100 * steps / smooth;
  }

  /** From the mean of the pixels up to one to the mean of those after it. */
  private static float rise(float[] v, int i) {
    float sum = 0;
    for (int k = 0; k < SIDE; k++) {
      sum += v[i + 1 + k] - v[i - k];
    }
    return sum / SIDE;
  }

  /** How much higher the step at a place is than before; 0 where there is none. */
  private static float height(float[] is, int i, float before) {
    float rise = rise(is, i);
    float height = Math.abs(rise);
    if (height - Math.abs(before) < STEP) {
      return 0;
    }
    float near = Math.max(Math.abs(is[i + 1] - is[i - 1]), Math.abs(is[i + 2] - is[i]));
    float left = Math.abs(is[i - 1] - is[i - SIDE + 1]);
    float right = Math.abs(is[i + SIDE] - is[i + 2]);
    boolean level = Math.max(left, right) <= LEVEL * height + GRAIN;
    return near >= SHARP * height && level ? height - Math.abs(before) : 0;
  }
}

package org.nineveils.kernel;

import java.util.Arrays;
import java.util.List;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.SrgbLoops;

/**
 * Divides a colour among eight hues that stand evenly round the wheel of Oklab (Ottosson 2020):
 * stops at 15°, 60° … 330°.
 *
 * <p>The vector (a, b) is taken apart along the two stops that it lies between. With s(k) = the
 * cross product of stop k and the vector, the part along stop k is max(0, min(s(k−1), −s(k+1))) /
 * sin 45°, which is 0 beyond its neighbours. Divided by the sum of all eight, the parts are shares:
 * smooth, one at its own stop, together one. Colours fainter than {@link #FAINT} have less, neutral
 * ones none. No branch and no angle.
 */
public final class HueStops {
  /** The eight hues, words of our own. */
  public static final List<String> NAMES =
      List.of("Rose", "Amber", "Straw", "Leaf", "Jade", "Sky", "Iris", "Mauve");

  /** Place of the hue in {@link #NAMES} that skin lies nearest to. */
  public static final int AMBER = 1;

  /** Planes that {@link #prepare} fills. */
  public static final int PLANES = 5;

  private static final double FIRST = 15;
  private static final double STEP = 45;

  /** Sum of the parts below which a colour has less than its whole share; about the chroma. */
  static final float FAINT = 1e-3f;

  private static final int COUNT = NAMES.size();
  private static final int HALF = COUNT / 2;
  private static final float PER_CROSS = (float) (1 / Math.sin(Math.toRadians(STEP)));

  private static final float[] COS = new float[HALF];
  private static final float[] SIN = new float[HALF];

  static {
    for (int k = 0; k < HALF; k++) {
      COS[k] = (float) Math.cos(Math.toRadians(degrees(k)));
      SIN[k] = (float) Math.sin(Math.toRadians(degrees(k)));
    }
  }

  private HueStops() {}

  /** Hue of a stop in Oklab, degrees. */
  public static double degrees(int stop) {
    return FIRST + STEP * stop;
  }

  /**
   * Makes ready what shares are worked out from.
   *
   * @param a green to red of Oklab
   * @param b blue to yellow of Oklab
   * @param room {@link #PLANES} planes: four cross products, and one over the sum of the parts
   * @param n how many pixels
   */
  public static void prepare(float[] a, float[] b, float[][] room, int n) {
    for (int k = 0; k < HALF; k++) {
      float cos = COS[k];
      float sin = SIN[k];
      float[] cross = room[k];
      for (int i = 0; i < n; i++) {
        cross[i] = cos * b[i] - sin * a[i];
      }
    }
    float[] sum = room[HALF];
    Arrays.fill(sum, 0, n, 0f);
    for (int k = 0; k < COUNT; k++) {
      addPart(room, k, PER_CROSS, sum, n);
    }
    for (int i = 0; i < n; i++) {
      sum[i] = PER_CROSS / Math.max(sum[i], FAINT);
    }
  }

  /**
   * Sum of weight · share of every pixel.
   *
   * @param room as {@link #prepare} left it
   * @param weights eight, in the order of {@link #NAMES}
   * @param out receives the sums
   * @param n how many pixels
   */
  public static void sum(float[][] room, float[] weights, float[] out, int n) {
    Arrays.fill(out, 0, n, 0f);
    for (int k = 0; k < COUNT; k++) {
      if (weights[k] != 0) {
        addPart(room, k, weights[k], out, n);
      }
    }
    float[] inverse = room[HALF];
    for (int i = 0; i < n; i++) {
      out[i] *= inverse[i];
    }
  }

  private static void addPart(float[][] room, int stop, float weight, float[] sum, int n) {
    int before = (stop + COUNT - 1) % COUNT;
    int after = (stop + 1) % COUNT;
    float[] low = room[before % HALF];
    float[] high = room[after % HALF];
    float lowSign = before < HALF ? 1 : -1;
    float highSign = after < HALF ? -1 : 1;
    for (int i = 0; i < n; i++) {
      sum[i] += weight * Math.max(0f, Math.min(lowSign * low[i], highSign * high[i]));
    }
  }

  /**
   * From encoded values to Oklab.
   *
   * @param in not changed
   * @param lab receives L, a, b in r, g, b
   * @param work three planes of scratch
   */
  public static void toOklab(Band in, Band lab, float[][] work, int n) {
    SrgbLoops.decode(in.r, lab.r, n);
    SrgbLoops.decode(in.g, lab.g, n);
    SrgbLoops.decode(in.b, lab.b, n);
    Oklab.fromLinear(lab.r, lab.g, lab.b, work, n);
  }

  /** How strong a colour is, as encoded: max − min of the channels. */
  public static void strength(Band in, float[] out, int n) {
    float[] r = in.r;
    float[] g = in.g;
    float[] b = in.b;
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(r[i], Math.max(g[i], b[i])) - Math.min(r[i], Math.min(g[i], b[i]));
    }
  }
}

package org.nineveils.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Colours that sRGB cannot show; the border is checked with the matrices of CSS Color 4. */
class GamutTest {
  private static final int COUNT = 20_000;

  /** Linear sRGB of an Oklab colour, by the closed form of CSS Color 4, section 10.2. */
  private static double[] linear(double l, double a, double b) {
    double x = Math.pow(l + 0.3963377774 * a + 0.2158037573 * b, 3);
    double y = Math.pow(l - 0.1055613458 * a - 0.0638541728 * b, 3);
    double z = Math.pow(l - 0.0894841775 * a - 1.2914855480 * b, 3);
    return new double[] {
      4.0767416621 * x - 3.3077115913 * y + 0.2309699292 * z,
      -1.2684380046 * x + 2.6097574011 * y - 0.3413193965 * z,
      -0.0041960863 * x - 0.7034186147 * y + 1.7076147010 * z
    };
  }

  /** Strong colours of every lightness and hue, most of them out of range. */
  private static float[][] strong() {
    Random random = new Random(4);
    float[][] lab = new float[3][COUNT];
    for (int i = 0; i < COUNT; i++) {
      double hue = random.nextDouble() * 2 * Math.PI;
      lab[0][i] = 0.02f + 0.97f * random.nextFloat();
      lab[1][i] = (float) (0.4 * Math.cos(hue));
      lab[2][i] = (float) (0.4 * Math.sin(hue));
    }
    return lab;
  }

  /** By bisection, which needs to know nothing of polynomials. */
  private static double border(double l, double a, double b) {
    double in = 0;
    double out = 0;
    for (int step = 1; step <= 400 && out == 0; step++) {
      out = inRange(linear(l, a * step / 400, b * step / 400)) ? 0 : step / 400.0;
      in = out == 0 ? step / 400.0 : in;
    }
    for (int k = 0; k < 40 && out > 0; k++) {
      double half = (in + out) / 2;
      if (inRange(linear(l, a * half, b * half))) {
        in = half;
      } else {
        out = half;
      }
    }
    return in;
  }

  private static boolean inRange(double[] rgb) {
    for (double v : rgb) {
      if (v < -1e-9 || v > 1 + 1e-9) {
        return false;
      }
    }
    return true;
  }

  @Test
  void theBorderOfTheTableIsTheBorderOfTheRange() {
    float[][] lab = strong();
    float[][] full = {lab[0].clone(), lab[1].clone(), lab[2].clone()};
    Gamut.toBorder(lab[0], lab[1], lab[2], new float[3][COUNT], COUNT);
    double[] apart = new double[COUNT];
    for (int i = 0; i < COUNT; i++) {
      double expected = 0.4 * border(full[0][i], full[1][i], full[2][i]);
      apart[i] = Math.abs(Math.hypot(lab[1][i], lab[2][i]) - expected);
    }
    Arrays.sort(apart);
    assertThat(apart[(int) (0.99 * COUNT)]).isLessThan(1e-4);
    assertThat(apart[COUNT - 1]).isLessThan(0.03);
  }

  @Test
  void coloursOutOfRangeKeepTheirHueWhenTheyAreCutAtTheBorder() {
    float[][] lab = strong();
    float[][] hues = {lab[0].clone(), lab[1].clone(), lab[2].clone()};
    float[] r = lab[0].clone();
    float[] g = lab[1].clone();
    float[] b = lab[2].clone();
    float[][] work = new float[3][COUNT];
    Oklab.toLinear(r, g, b, work, COUNT);
    Gamut.bringIn(lab, r, g, b, work, COUNT);
    for (float[] plane : new float[][] {r, g, b}) {
      for (int i = 0; i < COUNT; i++) {
        plane[i] = Math.min(1f, Math.max(0f, plane[i]));
      }
    }
    Oklab.fromLinear(r, g, b, work, COUNT);
    for (int i = 0; i < COUNT; i++) {
      if (Math.hypot(g[i], b[i]) > 0.02) {
        double was = Math.toDegrees(Math.atan2(hues[2][i], hues[1][i]));
        double is = Math.toDegrees(Math.atan2(b[i], g[i]));
        assertThat((is - was + 540) % 360 - 180).as("L %s", hues[0][i]).isCloseTo(0, within(1.0));
      }
    }
  }

  @Test
  void coloursWithinTheRangeStayAsTheyAre() {
    float[] r = {0, 1, 0.5f, 1, 0.2f};
    float[] g = {0, 1, 0.5f, 0, 0.9f};
    float[] b = {0, 1, 0.5f, 0, 0.1f};
    float[][] lab = {r.clone(), g.clone(), b.clone()};
    Oklab.fromLinear(lab[0], lab[1], lab[2], new float[3][5], 5);
    float[][] out = {r.clone(), g.clone(), b.clone()};
    Gamut.bringIn(lab, out[0], out[1], out[2], new float[3][5], 5);
    assertThat(out).isDeepEqualTo(new float[][] {r, g, b});
  }

  /** The corners of sRGB are on its border; a float's error beyond it must not move them. */
  @Test
  void cornersStayWhereTheyAreAndRampsByThemDoNotJump() {
    for (int corner = 1; corner < 7; corner++) {
      float[][] rgb = new float[3][1];
      for (int c = 0; c < 3; c++) {
        rgb[c][0] = corner >> c & 1;
      }
      double[] now = broughtIn(rgb[0][0], rgb[1][0], rgb[2][0], 1.00002);
      for (int c = 0; c < 3; c++) {
        assertThat(now[c]).as("corner %d", corner).isCloseTo(rgb[c][0], within(1.0 / 255));
      }
    }
    Lab before = null;
    for (int step = 0; step <= 400; step++) {
      double more = 0.98 + 0.0003 * step; // from within over the border, at pure blue
      double[] v = broughtIn(0.02 * (1 - more), 0.01, 1, more);
      Lab now = Lab.ofSrgb(v[0], v[1], v[2]);
      if (before != null) {
        assertThat(Ciede2000.between(before, now)).as("step %d", step).isLessThan(0.4);
      }
      before = now;
    }
  }

  /** Chroma of a colour times a factor, brought in; encoded. */
  private static double[] broughtIn(double r, double g, double b, double factor) {
    float[][] lab = {{linear(r)}, {linear(g)}, {linear(b)}};
    Oklab.fromLinear(lab[0], lab[1], lab[2], new float[3][1], 1);
    lab[1][0] *= (float) factor;
    lab[2][0] *= (float) factor;
    float[][] rgb = {lab[0].clone(), lab[1].clone(), lab[2].clone()};
    Oklab.toLinear(rgb[0], rgb[1], rgb[2], new float[3][1], 1);
    Gamut.bringIn(lab, rgb[0], rgb[1], rgb[2], new float[3][1], 1);
    double[] out = new double[3];
    for (int c = 0; c < 3; c++) {
      out[c] = Srgb.encode(Math.max(0, Math.min(1, rgb[c][0])));
    }
    return out;
  }

  private static float linear(double v) {
    return (float) Srgb.decode(Math.max(0, Math.min(1, v)));
  }
}

package org.nineveils.colour;

/**
 * The colour difference CIEDE2000 with kL = kC = kH = 1.
 *
 * <p>Source: G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000 Color-Difference Formula: Implementation
 * Notes, Supplementary Test Data, and Mathematical Observations", Color Research and Application 30
 * (2005), equations 2–22.
 */
public final class Ciede2000 {
  private static final double POW_25_7 = Math.pow(25, 7);

  private Ciede2000() {}

  /** The difference of two colours, 0 or more; about 1 can just be seen side by side. */
  public static double between(Lab one, Lab two) {
    double meanC = (length(one.a(), one.b()) + length(two.a(), two.b())) / 2;
    double g = 0.5 * (1 - chromaRoot(meanC));
    double a1 = (1 + g) * one.a();
    double a2 = (1 + g) * two.a();
    double c1 = length(a1, one.b());
    double c2 = length(a2, two.b());
    double h1 = hue(a1, one.b());
    double h2 = hue(a2, two.b());

    double dl = two.l() - one.l();
    double dc = c2 - c1;
    double turn = c1 * c2 == 0 ? 0 : nearest(h2 - h1);
    double dh = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(turn / 2));

    double l = (one.l() + two.l()) / 2;
    double c = (c1 + c2) / 2;
    double h = c1 * c2 == 0 ? h1 + h2 : meanHue(h1, h2);
    double t =
        1 - 0.17 * cos(h - 30) + 0.24 * cos(2 * h) + 0.32 * cos(3 * h + 6) - 0.20 * cos(4 * h - 63);
    double off = (l - 50) * (l - 50);
    double sl = 1 + 0.015 * off / Math.sqrt(20 + off);
    double sc = 1 + 0.045 * c;
    double sh = 1 + 0.015 * c * t;
    double away = (h - 275) / 25;
    double theta = 30 * Math.exp(-away * away);
    double rt = -Math.sin(Math.toRadians(2 * theta)) * 2 * chromaRoot(c);

    double x = dl / sl;
    double y = dc / sc;
    double z = dh / sh;
    return Math.sqrt(x * x + y * y + z * z + rt * y * z);
  }

  /** A plain root: colours are far from where {@link Math#hypot} guards, at ten times the cost. */
  private static double length(double a, double b) {
    return Math.sqrt(a * a + b * b);
  }

  private static double chromaRoot(double c) {
    double c2 = c * c;
    double c7 = c2 * c2 * c2 * c;
    return Math.sqrt(c7 / (c7 + POW_25_7));
  }

  private static double hue(double a, double b) {
    double h = Math.toDegrees(Math.atan2(b, a));
    return h < 0 ? h + 360 : h;
  }

  private static double nearest(double turn) {
    return turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  }

  private static double meanHue(double h1, double h2) {
    double sum = h1 + h2;
    if (Math.abs(h1 - h2) <= 180) {
      return sum / 2;
    }
    return sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
  }

  private static double cos(double degrees) {
    return Math.cos(Math.toRadians(degrees));
  }
}

package org.nineveils.proof.measure;

import org.nineveils.picture.Area;

/**
 * How much of its lightness the corner that has lost most has kept: mean L* of a square of 6 % of
 * the long side, now over before. A corner that was nearly black before, or that a frame covers,
 * does not count.
 */
final class Corners implements Measure {
  private static final double SIDE = 0.06;

  /** L* below which there is nothing to lose. */
  private static final double DARK = 12;

  @Override
  public String id() {
    return "corners";
  }

  @Override
  public String label() {
    return "Corners kept";
  }

  @Override
  public String word() {
    return "corners";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public Bad bad() {
    return Bad.LESS;
  }

  @Override
  public double limit() {
    return 35;
  }

  @Override
  public Reading of(Pair pair) {
    Area area = pair.area();
    int side = (int) Math.max(1, SIDE * Math.max(area.width(), area.height()));
    float[] before = pair.seen(Pair.Side.PLAIN).lab()[0];
    float[] now = pair.seen(Pair.Side.FINISHED).lab()[0];
    double least = Double.POSITIVE_INFINITY;
    for (int corner = 0; corner < 4; corner++) {
      int x = corner % 2 == 0 ? 0 : Math.max(0, area.width() - side);
      int y = corner / 2 == 0 ? 0 : Math.max(0, area.height() - side);
      double was = 0;
      double is = 0;
      int n = 0;
      for (int row = y; row < Math.min(area.height(), y + side); row++) {
        for (int i = row * area.width() + x;
            i < row * area.width() + Math.min(area.width(), x + side);
            i++) {
          if (!pair.isFramed(i)) {
            was += before[i];
            is += now[i];
            n++;
          }
        }
      }
      if (n > 0 && was / n >= DARK) {
        least = Math.min(least, is / was);
      }
    }
    return Double.isInfinite(least)
        ? Reading.not("its corners are dark or under a frame")
        : Reading.of(100 * Math.min(1, least));
  }
}

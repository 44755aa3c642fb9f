package org.nineveils.proof.measure;

/**
 * Steps where tones went over smoothly: neighbours in a row whose lumas were at most one code of
 * 256 apart and are three or more apart now, per cent of all such neighbours. A step lies between
 * two levels: on either side the next pixel is of the same luma, to a code. Grain has no levels.
 */
final class Banding implements Measure {
  private static final int SMOOTH = 1;
  private static final int STEP = 3;

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
    return 6;
  }

  @Override
  public Reading of(Pair pair) {
    int[] before = pair.seen(Pair.Side.PLAIN).codes();
    int[] now = pair.seen(Pair.Side.FINISHED).codes();
    int width = pair.area().width();
    int smooth = 0;
    int steps = 0;
    for (int y = 0; y < pair.area().height(); y++) {
      for (int i = y * width; i < (y + 1) * width - 1; i++) {
        if (Math.abs(before[i + 1] - before[i]) <= SMOOTH) {
          smooth++;
          steps += isStep(now, i, y * width, (y + 1) * width - 1) ? 1 : 0;
        }
      }
    }
    return smooth < Plain.FEWEST
        ? Reading.not("hardly anything is smooth on this photo")
        : Reading.of(100.0 * steps / smooth);
  }

  /** Whether there is a step behind a pixel of a row that begins and ends at those places. */
  private static boolean isStep(int[] now, int i, int first, int last) {
    return Math.abs(now[i + 1] - now[i]) >= STEP
        && (i == first || Math.abs(now[i] - now[i - 1]) <= SMOOTH)
        && (i + 1 == last || Math.abs(now[i + 2] - now[i + 1]) <= SMOOTH);
  }
}

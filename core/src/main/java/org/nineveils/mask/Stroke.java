package org.nineveils.mask;

import java.util.List;
import java.util.Locale;
import org.nineveils.refusal.Refusal;

/**
 * One pull of the brush.
 *
 * @param points way of the brush: x, y, x, y … as shares of the long side from the top left corner
 * @param size diameter as a share of the long side, {@value #MIN_SIZE}…{@value #MAX_SIZE}
 * @param softness 0 (hard rim) … 1 (soft to the middle)
 * @param strength the most that this stroke can cover, 0…1
 * @param flow how much one passage of the brush lays down, 0…1 (1: all at once)
 * @param reveal true shows the veil, false hides it
 * @param pressure of the pen along it
 * @param holding 0 lays everywhere; above, only on colours of the plain photo that are within that
 *     distance in CIE Lab of the one that the stroke began on, 0…{@value #MAX_HOLDING}
 */
public record Stroke(
    List<Double> points,
    double size,
    double softness,
    double strength,
    double flow,
    boolean reveal,
    Pressure pressure,
    double holding) {
  public static final double MIN_SIZE = 0.001;
  public static final double MAX_SIZE = 1;

  /** Most numbers in a stroke: some minutes of painting without lifting the hand. */
  public static final int MAX_NUMBERS = 20_000;

  /** Farthest distance in CIE Lab that a stroke holds to. */
  public static final double MAX_HOLDING = 60;

  private static final double FARTHEST = 3;

  public Stroke {
    points = Numbers.of(points);
    if (points.size() < 2 || points.size() % 2 != 0 || points.size() > MAX_NUMBERS) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "A stroke must have 1 to %d points of two numbers each.",
              MAX_NUMBERS / 2));
    }
    for (double p : points) {
      check("A point of a stroke", p, -FARTHEST, FARTHEST);
    }
    check("Brush size", size, MIN_SIZE, MAX_SIZE);
    check("Brush softness", softness, 0, 1);
    check("Brush strength", strength, 0, 1);
    check("Brush flow", flow, 0, 1);
    check("What a brush holds to", holding, 0, MAX_HOLDING);
    if (!pressure.along().isEmpty() && 2 * pressure.along().size() != points.size()) {
      throw new Refusal("A stroke must have pressure at all of its points or at none.");
    }
  }

  /** A stroke of a mouse, which lays everywhere. */
  public Stroke(
      List<Double> points,
      double size,
      double softness,
      double strength,
      double flow,
      boolean reveal) {
    this(points, size, softness, strength, flow, reveal, Pressure.NONE, 0);
  }

  /** A number of its way: x and y in turn. */
  double at(int i) {
    return ((Numbers) points).at(i);
  }

  /** The same stroke the other way: hiding where it reveals. */
  Stroke turned() {
    return new Stroke(points, size, softness, strength, flow, !reveal, pressure, holding);
  }

  private static void check(String what, double value, double min, double max) {
    if (!(value >= min && value <= max)) {
      throw new Refusal(
          "%s must be between %s and %s, but was %s.".formatted(what, min, max, value));
    }
  }
}

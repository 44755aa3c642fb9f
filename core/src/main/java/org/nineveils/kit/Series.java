package org.nineveils.kit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * Effects made from one by stepping one number of one veil.
 *
 * <p>Values come as a list, or from a first one to a last one by steps; thirds are exact: a step of
 * 0.33 or 0.67 is taken for a third or two, since exposure is judged in thirds of a stop (common
 * practice, no published source).
 */
public final class Series {
  /** Most effects of one series: as many as a large section holds. */
  public static final int MOST = 40;

  /** What is stepped where it is the veil's opacity, per cent. */
  public static final String OPACITY = "opacity";

  private static final double THIRD = 1 / 3.0;

  /** How far a value may lie from a third to be taken for one. */
  private static final double ABOUT = 0.0051;

  private Series() {}

  /**
   * One effect of a series.
   *
   * @param name by the pattern
   * @param value what was stepped to
   */
  public record Step(String name, double value, Effect effect) {}

  /**
   * Values from a first to a last one; the last one is met where the steps meet it.
   *
   * @param step above 0; where the last is below the first they go down
   * @throws Refusal with a sentence if there would be too many, or none
   */
  public static List<Double> values(double from, double to, double step) {
    double by = exact(Math.abs(step));
    double first = exact(from);
    double last = exact(to);
    if (!(by > 0) || !Double.isFinite(first + last)) {
      throw new Refusal("A series steps by more than nothing.");
    }
    double steps = Math.floor(Math.abs(last - first) / by + 1e-6) + 1;
    if (steps > MOST) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "That would be %d effects; a series has at most %d.",
              (long) steps,
              MOST));
    }
    List<Double> out = new ArrayList<>();
    for (int i = 0; i < steps; i++) {
      out.add(rounded(first + Math.signum(last - first) * i * by));
    }
    return out;
  }

  /** A value near a third of a unit is that third. */
  private static double exact(double v) {
    double thirds = Math.rint(v / THIRD) * THIRD;
    boolean whole = Math.abs(v - Math.rint(v)) < 1e-9;
    return !whole && Math.abs(v - thirds) < ABOUT ? thirds : v;
  }

  /** Without the last bits that adding leaves. */
  private static double rounded(double v) {
    return new BigDecimal(v, new MathContext(12)).doubleValue() + 0.0;
  }

  /**
   * The effects.
   *
   * @param from the effect that they are made of
   * @param name of it
   * @param veil id of the veil that is stepped
   * @param key of its setting, of a number of its mask's rules, or {@link #OPACITY} in per cent
   * @param values what it is stepped to
   * @param pattern of names: {name} is the name of the effect, {value} the value, {number} counts
   *     from 1
   * @throws Refusal with a sentence if there is no such veil, or names come out the same
   * @throws org.nineveils.setting.InvalidSetting if a value is out of range
   */
  public static List<Step> of(
      Effect from, String name, String veil, String key, List<Double> values, String pattern) {
    Veil stepped =
        from.veil(veil)
            .orElseThrow(() -> new Refusal("The veil that is to be stepped is no longer here."));
    if (values.isEmpty() || values.size() > MOST) {
      throw new Refusal(String.format(Locale.ROOT, "A series has 1 to %d effects.", MOST));
    }
    List<Step> out = new ArrayList<>();
    for (double value : values) {
      String called =
          Names.check("An effect of the series", named(pattern, name, value, out.size() + 1));
      if (out.stream().anyMatch(s -> Names.key(s.name()).equals(Names.key(called)))) {
        throw new Refusal(
            "Two effects would be called “%s”: put {value} or {number} into the names."
                .formatted(called));
      }
      Veil next =
          key.equals(OPACITY)
              ? stepped.withOpacity(value / 100)
              : stepped.withNumbers(Map.of(key, value));
      List<Veil> veils = from.veils().stream().map(v -> v.id().equals(veil) ? next : v).toList();
      out.add(new Step(called, value, from.withVeils(veils)));
    }
    return out;
  }

  private static String named(String pattern, String name, double value, int number) {
    return pattern
        .replace("{name}", name)
        .replace("{value}", written(value))
        .replace("{number}", String.valueOf(number));
  }

  /** A value as names write it: with a sign where it is not nothing, thirds as fractions. */
  public static String written(double value) {
    String sign = value > 0 ? "+" : value < 0 ? "−" : "";
    double size = Math.abs(value);
    double whole = Math.floor(size + ABOUT);
    double rest = size - whole;
    for (int n = 1; n <= 2; n++) {
      if (Math.abs(rest - n * THIRD) < ABOUT) {
        return sign + (whole == 0 ? "" : String.valueOf((long) whole)) + (n == 1 ? "⅓" : "⅔");
      }
    }
    return sign
        + BigDecimal.valueOf(size)
            .setScale(2, RoundingMode.HALF_UP)
            .stripTrailingZeros()
            .toPlainString();
  }
}

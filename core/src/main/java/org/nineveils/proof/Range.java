package org.nineveils.proof;

import java.util.List;
import java.util.function.IntPredicate;

/**
 * The part of a row of values that holds.
 *
 * @param from first value of it
 * @param to last value of it
 * @param isAny whether there is any
 */
public record Range(double from, double to, boolean isAny) {
  /**
   * The unbroken part about a value.
   *
   * @param values rising, 1 or more
   * @param about the part holds the value of the row that is nearest to this one
   * @param holds whether the value at a place holds
   */
  public static Range holding(List<Double> values, double about, IntPredicate holds) {
    int middle = 0;
    for (int i = 1; i < values.size(); i++) {
      boolean nearer = Math.abs(values.get(i) - about) < Math.abs(values.get(middle) - about);
      middle = nearer ? i : middle;
    }
    if (!holds.test(middle)) {
      return new Range(about, about, false);
    }
    int from = middle;
    while (from > 0 && holds.test(from - 1)) {
      from--;
    }
    int to = middle;
    while (to < values.size() - 1 && holds.test(to + 1)) {
      to++;
    }
    return new Range(values.get(from), values.get(to), true);
  }
}

package org.nineveils.mask;

import java.util.AbstractList;
import java.util.List;
import java.util.RandomAccess;

/** Numbers that stay as they are, eight bytes each; a list like any other. */
final class Numbers extends AbstractList<Double> implements RandomAccess {
  private final double[] values;

  private Numbers(double[] values) {
    this.values = values;
  }

  /**
   * The numbers of a list.
   *
   * @throws NullPointerException if one is missing
   */
  static Numbers of(List<Double> list) {
    if (list instanceof Numbers numbers) {
      return numbers;
    }
    return new Numbers(list.stream().mapToDouble(Double::doubleValue).toArray());
  }

  double at(int i) {
    return values[i];
  }

  @Override
  public Double get(int i) {
    return values[i];
  }

  @Override
  public int size() {
    return values.length;
  }
}

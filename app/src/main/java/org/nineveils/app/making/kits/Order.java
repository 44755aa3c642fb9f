package org.nineveils.app.making.kits;

import java.util.List;
import java.util.function.ObjIntConsumer;

/** Numbers of things in a row. */
final class Order {
  private Order() {}

  /**
   * Numbers all things from 1.
   *
   * @param number told every thing with its place
   */
  static <T> void number(List<T> order, ObjIntConsumer<T> number) {
    for (int i = 0; i < order.size(); i++) {
      number.accept(order.get(i), i + 1);
    }
  }
}

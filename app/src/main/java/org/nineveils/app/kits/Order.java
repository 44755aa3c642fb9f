package org.nineveils.app.kits;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ObjIntConsumer;
import java.util.function.Predicate;

/** Moves one thing within a row of things and numbers all from 1. */
final class Order {
  private Order() {}

  /**
   * Moves the thing that matches by some places, held within the row, then numbers all.
   *
   * @param number told every thing with its place, counted from 1
   */
  static <T> void moved(List<T> things, Predicate<T> which, int by, ObjIntConsumer<T> number) {
    List<T> order = new ArrayList<>(things);
    for (int i = 0; i < order.size(); i++) {
      if (which.test(order.get(i))) {
        T thing = order.remove(i);
        order.add(Math.min(order.size(), Math.max(0, i + by)), thing);
        break;
      }
    }
    for (int i = 0; i < order.size(); i++) {
      number.accept(order.get(i), i + 1);
    }
  }
}

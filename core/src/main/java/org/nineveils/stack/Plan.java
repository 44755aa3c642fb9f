package org.nineveils.stack;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.nineveils.kernel.Frame;
import org.nineveils.picture.Area;

/**
 * The way through a stack: where it is cut into legs, and how much of the picture each leg makes.
 *
 * <p>A leg begins at every item that looks at the neighbourhood; at the first veil of a bundle
 * whose mixing comes in a later leg, since what is below must be kept until then; and where a state
 * of the picture is wanted.
 */
final class Plan {
  private Plan() {}

  /**
   * Legs from an item on.
   *
   * @param items the whole stack
   * @param from index of the first item to run; what lies before is given
   * @param stop index before which the picture is wanted as well; −1 for none
   * @param area what is wanted in the end
   */
  static List<Leg> of(List<Item> items, int from, int stop, Workbench bench, Area area) {
    List<PreparedItem> prepared = new ArrayList<>();
    for (Item item : items.subList(from, items.size())) {
      prepared.add(bench.prepare(item));
    }
    boolean[] begins = new boolean[prepared.size() + 1];
    boolean[] keeps = new boolean[prepared.size() + 1];
    begins[0] = true;
    if (stop >= from) {
      begins[stop - from] = true;
    }
    for (int i = 0; i < prepared.size(); i++) {
      begins[i] |= prepared.get(i).looksAround();
    }
    for (int i = 0; i < prepared.size(); i++) {
      if (prepared.get(i).item().opens() && isCut(prepared, begins, i)) {
        begins[i] = true;
        keeps[i] = true;
      }
    }
    return legs(prepared, begins, keeps, from, bench.frame(), area);
  }

  /** Whether a leg begins inside the bundle that opens at an item. */
  private static boolean isCut(List<PreparedItem> items, boolean[] begins, int opening) {
    boolean cut = items.get(opening).looksAround();
    for (int i = opening + 1; i < items.size(); i++) {
      cut |= begins[i];
      if (items.get(i).item() instanceof EndItem) {
        break;
      }
    }
    return cut;
  }

  private static List<Leg> legs(
      List<PreparedItem> items,
      boolean[] begins,
      boolean[] keeps,
      int from,
      Frame frame,
      Area area) {
    List<Leg> legs = new ArrayList<>();
    Area wanted = area;
    int end = items.size();
    for (int i = items.size() - 1; i >= 0; i--) {
      if (begins[i]) {
        legs.add(new Leg(wanted, items.subList(i, end), from + i, keeps[i]));
        wanted = items.get(i).needs(wanted, frame);
        end = i;
      }
    }
    Collections.reverse(legs);
    return legs;
  }
}

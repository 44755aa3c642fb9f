package org.nineveils.stack;

import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;

/**
 * The whole picture below each item, small, for veils that must know of the whole: each worked out
 * once, from the one before, however many such veils lie over each other. Always by the exact way,
 * so that every part of a picture and every size of it is told the same.
 */
final class Overviews {
  /** Long side of the small picture, pixels. */
  private static final int LONG_SIDE = 256;

  private final List<Item> items;
  private final Manner manner;
  private final Workbench bench;
  private final Picture small;
  private final NavigableMap<Integer, State> states = new TreeMap<>();

  Overviews(Picture source, List<Item> items, Manner manner) {
    this.items = items;
    this.manner = manner.masksFrom(CoverageSource.FRESH).quick(false);
    this.small = Scaling.toLongSide(source, LONG_SIDE);
    this.bench = Workbench.of(small, manner);
    states.put(0, State.plain(small));
  }

  /** The picture below an item. */
  Picture below(int index) {
    int from = states.floorKey(index);
    if (from < index) {
      Run run = new Run(small, items, manner, bench, this);
      states.put(index, run.upTo(index, states.get(from), from, states::put));
    }
    return states.get(index).now().picture();
  }
}

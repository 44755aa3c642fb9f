package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.mask.Cover;
import org.nineveils.mask.MaskEdge;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.mask.Touched;
import org.nineveils.picture.Area;

/**
 * Strokes that two stacks of items differ by.
 *
 * @param boxes for every item of the later stack, the pixels that its strokes can have changed;
 *     null where it has not changed
 * @param inserted index of a brush-on veil that was first painted, and so became an item; −1 for
 *     none
 */
record Changes(List<Area> boxes, int inserted) {

  /** How many items are the same from the beginning on. */
  static int same(List<Item> before, List<Item> after) {
    int most = Math.min(before.size(), after.size());
    int i = 0;
    while (i < most && before.get(i).equals(after.get(i))) {
      i++;
    }
    return i;
  }

  /**
   * The strokes that two stacks differ by.
   *
   * @return null where they differ by more than strokes
   */
  static Changes ofPaint(List<Item> before, List<Item> after, Area picture) {
    List<Area> boxes = new ArrayList<>();
    int inserted = -1;
    int b = 0;
    for (int a = 0; a < after.size(); a++) {
      Item next = after.get(a);
      Paint old;
      if (b < before.size() && before.get(b).equalsButPaint(next)) {
        old = before.get(b).paint();
        b++;
      } else if (inserted < 0 && isFirstPaint(next)) {
        old = Paint.NONE;
        inserted = a;
      } else {
        return null;
      }
      boxes.add(box(next, old, picture));
    }
    return b < before.size() ? null : new Changes(boxes, inserted);
  }

  /**
   * A veil over everything is mixed without a mask until something is painted: then every pixel may
   * be rounded otherwise.
   */
  private static Area box(Item next, Paint old, Area picture) {
    if (next.mask().cover() == Cover.EVERYWHERE && old.isEmpty() != next.paint().isEmpty()) {
      return picture;
    }
    Area own = Touched.by(differing(old, next.paint()), picture);
    return own == null ? null : MaskEdge.of(next.mask(), picture).needs(own);
  }

  /** A brush-on veil is no item until something is painted. */
  private static boolean isFirstPaint(Item item) {
    return item instanceof VeilItem && item.mask().cover() == Cover.BRUSH_ON && !item.opens();
  }

  /** Strokes from the first one on that differs, of both. */
  private static List<Stroke> differing(Paint before, Paint after) {
    int most = Math.min(before.strokes().size(), after.strokes().size());
    int i = 0;
    while (i < most && before.strokes().get(i).equals(after.strokes().get(i))) {
      i++;
    }
    List<Stroke> out = new ArrayList<>();
    out.addAll(before.strokes().subList(i, before.strokes().size()));
    out.addAll(after.strokes().subList(i, after.strokes().size()));
    return out;
  }
}

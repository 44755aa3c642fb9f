package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.mask.Cover;
import org.nineveils.mask.MaskEdge;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.mask.Touched;
import org.nineveils.picture.Area;

/** What is different between two stacks of items. */
final class Changes {
  private Changes() {}

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
   * The part of the picture that may look different; all of it unless the stacks differ in paint
   * alone.
   *
   * @param before items of the last picture
   * @param after items of the next, not the same
   */
  static Area touched(List<Item> before, List<Item> after, Workbench bench) {
    Area whole = bench.frame().area();
    Area touched = null;
    int b = 0;
    for (int a = 0; a < after.size(); a++) {
      PreparedItem next = bench.prepare(after.get(a));
      if (touched != null && next.looksAtWhole()) {
        return whole;
      }
      touched = touched == null ? null : next.needs(touched, bench.frame());
      Item old = b < before.size() ? before.get(b) : null;
      Paint oldPaint;
      if (old != null && old.equalsButPaint(next.item())) {
        oldPaint = old.paint();
        b++;
      } else if (isFirstPaint(next.item())) {
        oldPaint = Paint.NONE;
      } else {
        return whole;
      }
      Area own = Touched.by(differing(oldPaint, next.item().paint()), whole);
      touched =
          with(touched, own == null ? null : MaskEdge.of(next.item().mask(), whole).needs(own));
    }
    return b < before.size() || touched == null ? whole : touched;
  }

  /** A brush-on veil is no item until something is painted. */
  private static boolean isFirstPaint(Item item) {
    return !item.closes() && item.mask().cover() == Cover.BRUSH_ON && !item.opens();
  }

  private static Area with(Area a, Area b) {
    return a == null ? b : b == null ? a : a.with(b);
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

package org.nineveils.stack;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Coverage;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/**
 * Keeps the coverage used last, so that a slider dragged over a painted veil paints nothing anew.
 */
public final class CoverageCache implements CoverageSource {
  private record Key(Cover cover, Paint paint, int longSide, Area area) {}

  private final long capacity;
  private final Map<Key, Coverage> kept = new LinkedHashMap<>(16, 0.75f, true);
  private long held;

  /**
   * Makes an empty cache.
   *
   * @param capacity most pixels kept, at 4 bytes each
   */
  public CoverageCache(long capacity) {
    this.capacity = capacity;
  }

  /** Coverage by rules hangs on the photo's pixels and is worked out afresh; it is quick. */
  @Override
  public Coverage coverage(Mask mask, Paint paint, Picture plain, Area area) {
    if (mask.cover() == Cover.BY_RULE) {
      return Painter.cover(mask, paint, plain, area);
    }
    return kept(new Key(mask.cover(), paint, plain.longSide(), area), mask, plain);
  }

  private synchronized Coverage kept(Key key, Mask mask, Picture plain) {
    Coverage found = kept.get(key);
    if (found == null) {
      found = Painter.cover(mask, key.paint(), plain, key.area());
      kept.put(key, found);
      held += found.values().length;
      var oldest = kept.entrySet().iterator();
      while (held > capacity && kept.size() > 1) {
        held -= oldest.next().getValue().values().length;
        oldest.remove();
      }
    }
    return found;
  }
}

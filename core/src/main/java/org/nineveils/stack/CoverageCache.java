package org.nineveils.stack;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Coverage;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.picture.Area;

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

  @Override
  public synchronized Coverage coverage(Cover cover, Paint paint, int longSide, Area area) {
    Key key = new Key(cover, paint, longSide, area);
    Coverage found = kept.get(key);
    if (found == null) {
      found = Painter.cover(cover, paint, longSide, area);
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

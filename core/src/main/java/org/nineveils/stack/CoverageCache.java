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
  /** The photo counts only where rules look at it; paint hangs on its size alone. */
  private record Key(Mask mask, Paint paint, int width, int height, Picture ruledBy) {}

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

  /** What was worked out for a larger area serves for its parts; a part does not displace it. */
  @Override
  public synchronized Coverage coverage(Mask mask, Paint paint, Picture plain, Area area) {
    Picture ruledBy = mask.cover() == Cover.BY_RULE ? plain : null;
    Key key = new Key(mask, paint, plain.width(), plain.height(), ruledBy);
    Coverage found = kept.get(key);
    if (found != null && found.area().contains(area)) {
      return found;
    }
    Coverage fresh = Painter.cover(mask, paint, plain, area);
    if (found == null || area.contains(found.area())) {
      keep(key, fresh);
    }
    return fresh;
  }

  private void keep(Key key, Coverage fresh) {
    Coverage old = kept.put(key, fresh);
    held += fresh.values().length - (old == null ? 0 : old.values().length);
    var oldest = kept.entrySet().iterator();
    while (held > capacity && kept.size() > 1) {
      held -= oldest.next().getValue().values().length;
      oldest.remove();
    }
  }
}

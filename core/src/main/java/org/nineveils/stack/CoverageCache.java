package org.nineveils.stack;

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

  private static final int BYTES_A_PIXEL = 4;

  private final Keep<Object, Coverage> kept;

  /**
   * Makes an empty cache.
   *
   * @param capacity most pixels kept, at 4 bytes each
   */
  public CoverageCache(long capacity) {
    this(Keep.upTo(capacity * BYTES_A_PIXEL));
  }

  /** A cache that keeps in a place that is given. */
  public CoverageCache(Keep<Object, Coverage> kept) {
    this.kept = kept;
  }

  /** What was worked out for a larger area serves for its parts; a part does not displace it. */
  @Override
  public Coverage coverage(Mask mask, Paint paint, Picture plain, Area area) {
    Picture ruledBy = mask.cover() == Cover.BY_RULE ? plain : null;
    Key key = new Key(mask, paint, plain.width(), plain.height(), ruledBy);
    Coverage found = kept.find(key);
    if (found != null && found.area().contains(area)) {
      return found;
    }
    Coverage fresh = Painter.cover(mask, paint, plain, area);
    if (found == null || area.contains(found.area())) {
      kept.put(key, fresh, (long) fresh.values().length * BYTES_A_PIXEL);
    }
    return fresh;
  }
}

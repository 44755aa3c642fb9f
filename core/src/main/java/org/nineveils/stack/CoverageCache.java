package org.nineveils.stack;

import java.lang.ref.WeakReference;
import org.nineveils.mask.Coverage;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.mask.Pressure;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/**
 * Keeps the coverage used last, so that a slider dragged over a painted veil paints nothing anew.
 */
public final class CoverageCache implements CoverageSource {
  /** The photo counts only where rules look at it; paint hangs on its size alone. */
  private record Key(Mask mask, Print paint, int width, int height, Seen ruledBy) {}

  /** What stands for paint: 128 bits of it, so that no key carries all its strokes. */
  private record Print(int strokes, long first, long second) {
    static Print of(Paint paint) {
      long a = 0x9e3779b97f4a7c15L;
      long b = 0xc2b2ae3d27d4eb4fL;
      for (Stroke s : paint.strokes()) {
        double moves = s.pressure().moves() == Pressure.Moves.SIZE ? 0 : 1;
        double[] own = {
          s.size(), s.softness(), s.strength(), s.flow(), s.reveal() ? 1 : 0, s.holding(), moves
        };
        for (double v : own) {
          a = mixed(a, v);
          b = mixed(b ^ a, v);
        }
        for (double v : s.points()) {
          a = mixed(a, v);
          b = mixed(b ^ a, v);
        }
        for (double v : s.pressure().along()) {
          a = mixed(a, v);
          b = mixed(b ^ a, v);
        }
        a = mixed(a, s.points().size());
      }
      return new Print(paint.strokes().size(), a, b);
    }

    /** The mixing step of SplitMix64 (G. Steele, D. Lea, C. Flood, OOPSLA 2014). */
    private static long mixed(long h, double v) {
      long z = (h ^ Double.doubleToLongBits(v)) * 0xbf58476d1ce4e5b9L;
      z = (z ^ (z >>> 27)) * 0x94d049bb133111ebL;
      return z ^ (z >>> 31);
    }
  }

  /** A photo by its planes, which a key does not keep from being freed. */
  private static final class Seen {
    private final WeakReference<float[]> plane;
    private final int hash;

    Seen(Picture photo) {
      plane = new WeakReference<>(photo.r());
      hash = System.identityHashCode(photo.r());
    }

    @Override
    public boolean equals(Object other) {
      float[] own = plane.get();
      return other instanceof Seen s && own != null && s.plane.refersTo(own);
    }

    @Override
    public int hashCode() {
      return hash;
    }
  }

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
    boolean looks =
        !mask.rules().isEmpty() || paint.strokes().stream().anyMatch(s -> s.holding() > 0);
    Seen ruledBy = looks ? new Seen(plain) : null;
    Key key = new Key(mask, Print.of(paint), plain.width(), plain.height(), ruledBy);
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

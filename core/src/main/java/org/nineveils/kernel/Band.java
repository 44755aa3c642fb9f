package org.nineveils.kernel;

import org.nineveils.filter.Columns;
import org.nineveils.picture.Picture;

/**
 * A run of neighbouring pixels of one row, planar: the unit that kernels work on. Short enough to
 * stay in the processor's cache while a whole stack runs over it.
 */
public final class Band {
  /** Most pixels of a band; measured best between 1 024 and 4 096. */
  public static final int CAPACITY = Columns.MOST;

  /** Longer than any run, for those who use a plane as scratch. */
  private static final int LENGTH = CAPACITY + 16;

  public final float[] r = new float[LENGTH];
  public final float[] g = new float[LENGTH];
  public final float[] b = new float[LENGTH];

  /** A plane for intermediate results; no part of the colour. */
  public final float[] t = new float[LENGTH];

  /** Takes over the first n pixels of another band. */
  public void copyFrom(Band other, int n) {
    System.arraycopy(other.r, 0, r, 0, n);
    System.arraycopy(other.g, 0, g, 0, n);
    System.arraycopy(other.b, 0, b, 0, n);
  }

  /** Takes n pixels of a picture, from an index in its planes on. */
  public void load(Picture from, int at, int n) {
    System.arraycopy(from.r(), at, r, 0, n);
    System.arraycopy(from.g(), at, g, 0, n);
    System.arraycopy(from.b(), at, b, 0, n);
  }

  /** Puts the first n pixels into a picture, from an index in its planes on. */
  public void store(Picture to, int at, int n) {
    System.arraycopy(r, 0, to.r(), at, n);
    System.arraycopy(g, 0, to.g(), at, n);
    System.arraycopy(b, 0, to.b(), at, n);
  }
}

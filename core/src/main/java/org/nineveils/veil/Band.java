package org.nineveils.veil;

import org.nineveils.picture.Picture;

/**
 * A run of neighbouring pixels of one row, planar: the unit that kernels work on. Short enough to
 * stay in the processor's cache while a whole stack runs over it.
 */
public final class Band {
  /** Most pixels of a band; measured best between 1 024 and 4 096. */
  public static final int CAPACITY = 2048;

  public final float[] r = new float[CAPACITY];
  public final float[] g = new float[CAPACITY];
  public final float[] b = new float[CAPACITY];

  /** A plane for intermediate results; no part of the colour. */
  public final float[] t = new float[CAPACITY];

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

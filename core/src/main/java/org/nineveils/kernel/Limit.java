package org.nineveils.kernel;

/** Cuts off what lies below black or above white. */
public final class Limit {
  private Limit() {}

  /** Limits n pixels to 0…1, in place. */
  public static void toRange(Band band, int n) {
    toRange(band.r, n);
    toRange(band.g, n);
    toRange(band.b, n);
  }

  /** Limits n values to 0…1, in place. */
  public static void toRange(float[] plane, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] = Math.min(1f, Math.max(0f, plane[i]));
    }
  }
}

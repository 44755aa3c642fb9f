package org.nineveils.picture;

import java.util.stream.IntStream;

/** The one place where floats become whole numbers: clamp to 0…1, scale, round half up. */
public final class Quantise {
  /** Pixels that one task takes. */
  private static final int RUN = 1 << 12;

  private Quantise() {}

  /** 8-bit code of a value; NaN becomes 0. */
  public static int to8(float value) {
    return (int) (Math.min(1f, Math.max(0f, value)) * 255f + 0.5f);
  }

  /** 16-bit code of a value; NaN becomes 0. */
  public static int to16(float value) {
    return (int) (Math.min(1f, Math.max(0f, value)) * 65535f + 0.5f);
  }

  /**
   * The picture as bytes R, G, B, 255 for each pixel, rows from the top: what a browser's canvas
   * takes.
   *
   * @param picture the picture
   * @param out receives 4 bytes a pixel from {@code at} on
   * @param at first index written
   */
  public static void toRgba8(Picture picture, byte[] out, int at) {
    float[][] planes = {picture.r(), picture.g(), picture.b()};
    int length = planes[0].length;
    int runs = (length + RUN - 1) / RUN;
    IntStream.range(0, runs)
        .parallel()
        .forEach(
            run -> {
              int from = run * RUN;
              int n = Math.min(RUN, length - from);
              float[] work = new float[n];
              for (int c = 0; c < 3; c++) {
                codes(planes[c], from, n, null, work, out, at + 4 * from + c, 4);
              }
              for (int i = 0, to = at + 4 * from + 3; i < n; i++, to += 4) {
                out[to] = (byte) 255;
              }
            });
  }

  /**
   * Codes of 8 bits of a run of values.
   *
   * @param values a plane; not changed
   * @param from index of the first value
   * @param n how many
   * @param dither what {@link #dither} gives for each place; null for none
   * @param work scratch, at least n values
   * @param out receives a byte for each, from {@code at} on
   * @param step bytes from one to the next
   */
  public static void codes(
      float[] values, int from, int n, float[] dither, float[] work, byte[] out, int at, int step) {
    System.arraycopy(values, from, work, 0, n);
    if (dither == null) {
      for (int i = 0; i < n; i++) {
        work[i] = Math.min(1f, Math.max(0f, work[i])) * 255f + 0.5f;
      }
    } else {
      for (int i = 0; i < n; i++) {
        work[i] = Math.min(255f, Math.max(0f, work[i] * 255f + 0.5f + dither[i]));
      }
    }
    for (int i = 0, to = at; i < n; i++, to += step) {
      out[to] = (byte) (int) work[i];
    }
  }

  /**
   * A share of a code, −0.49…0.49, for a place: always the same, without a pattern, so that the
   * mean of a smooth gradient keeps values between two codes while a value that is a code stays
   * that code. By the finaliser of MurmurHash3 (A. Appleby, public domain).
   */
  public static float dither(int x, int y) {
    int h = x * 0x9e3779b1 + y * 0x85ebca77;
    h ^= h >>> 16;
    h *= 0x85ebca6b;
    h ^= h >>> 13;
    h *= 0xc2b2ae35;
    h ^= h >>> 16;
    return h * (0.49f / 0x80000000L);
  }
}

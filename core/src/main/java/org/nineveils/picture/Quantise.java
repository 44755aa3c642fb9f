package org.nineveils.picture;

import java.util.stream.IntStream;

/** The one place where floats become whole numbers: clamp to 0…1, scale, round half up. */
public final class Quantise {
  /** Pixels that one task takes. */
  private static final int RUN = 1 << 15;

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
    float[] r = picture.r();
    float[] g = picture.g();
    float[] b = picture.b();
    int runs = (r.length + RUN - 1) / RUN;
    IntStream.range(0, runs)
        .parallel()
        .forEach(
            run -> {
              int end = Math.min(r.length, (run + 1) * RUN);
              for (int i = run * RUN, to = at + 4 * i; i < end; i++, to += 4) {
                out[to] = (byte) to8(r[i]);
                out[to + 1] = (byte) to8(g[i]);
                out[to + 2] = (byte) to8(b[i]);
                out[to + 3] = (byte) 255;
              }
            });
  }

  /**
   * To a code of 8 bits, with what {@link #dither} gives for its place: the mean of a smooth
   * gradient keeps values between two codes. A value that is a code stays that code.
   */
  public static int to8(float value, float dither) {
    return (int) Math.min(255f, Math.max(0f, value * 255f + 0.5f + dither));
  }

  /**
   * A share of a code, −0.49…0.49, for a place: always the same, without a pattern. By the
   * finaliser of MurmurHash3 (A. Appleby, public domain).
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

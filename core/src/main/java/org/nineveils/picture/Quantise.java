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
}

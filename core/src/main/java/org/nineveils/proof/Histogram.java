package org.nineveils.proof;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.colour.Luma;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;

/**
 * How often each 8-bit tone occurs in a picture.
 *
 * @param red 256 counts
 * @param green 256 counts
 * @param blue 256 counts
 */
@SuppressWarnings("ArrayRecordComponent") // three planes of counts, handed over
public record Histogram(long[] red, long[] green, long[] blue) {
  private static final int TONES = 256;

  /** Counts a picture's tones. */
  public static Histogram of(Picture picture) {
    List<long[]> counts =
        List.of(picture.r(), picture.g(), picture.b()).parallelStream()
            .map(Histogram::count)
            .toList();
    return new Histogram(counts.get(0), counts.get(1), counts.get(2));
  }

  /**
   * Counts the tones of pixels that are in 8 bits already.
   *
   * @param rgba red, green, blue and anything for each pixel
   * @param at index of the first pixel's red
   * @param pixels how many
   */
  public static Histogram ofRgba8(byte[] rgba, int at, int pixels) {
    List<long[]> counts =
        IntStream.range(0, 3).parallel().mapToObj(c -> count(rgba, at + c, pixels)).toList();
    return new Histogram(counts.get(0), counts.get(1), counts.get(2));
  }

  private static long[] count(byte[] rgba, int at, int pixels) {
    int[] n = new int[TONES];
    for (int i = 0, k = at; i < pixels; i++, k += 4) {
      n[rgba[k] & 0xff]++;
    }
    return Arrays.stream(n).asLongStream().toArray();
  }

  /** How often each of 256 lumas (ITU-R BT.709, encoded) occurs in a picture. */
  public static long[] luma(Picture p) {
    float[] lumas = new float[p.r().length];
    Luma.run(p.r(), p.g(), p.b(), lumas, lumas.length);
    return count(lumas);
  }

  /** Share of pixels, 0…1, whose value is the lightest tone, averaged over the channels. */
  public double blown() {
    return share(TONES - 1);
  }

  /** Share of pixels, 0…1, whose value is the darkest tone, averaged over the channels. */
  public double blocked() {
    return share(0);
  }

  private double share(int tone) {
    long all = 0;
    for (long n : red) {
      all += n;
    }
    return (red[tone] + green[tone] + blue[tone]) / (3.0 * all);
  }

  private static long[] count(float[] plane) {
    long[] n = new long[TONES];
    for (float v : plane) {
      n[Quantise.to8(v)]++;
    }
    return n;
  }
}

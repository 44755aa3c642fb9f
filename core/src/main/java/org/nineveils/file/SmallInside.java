package org.nineveils.file;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Path;
import org.nineveils.file.data.PhotoData;
import org.nineveils.picture.OverStrips;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;

/**
 * Strips on their way into a JPEG, watched for the small picture that goes inside it: each of its
 * pixels is the mean of a square of the result. The file is written with room for it, which is
 * filled once all strips have gone by.
 */
final class SmallInside extends OverStrips {
  private static final int WIDE = 160; // Exif 2.32, 4.5.7 and DCF: 160 × 120
  private static final int HIGH = 120;
  private static final float[] QUALITIES = {0.85f, 0.6f, 0.3f, 0.1f};

  private final PhotoData data;
  private final int square;
  private final int columns;
  private final float[][] sums;
  private final int[] counts;
  private int seen;

  private SmallInside(Strips of, PhotoData data) {
    super(of);
    this.data = data;
    this.square = Math.max(ceil(of.width(), WIDE), ceil(of.height(), HIGH));
    this.columns = ceil(of.width(), square);
    int cells = columns * ceil(of.height(), square);
    this.sums = new float[3][cells];
    this.counts = new int[cells];
  }

  /** Null where none is wanted: the photo held none, or the format has no place for it. */
  static SmallInside of(Strips picture, PictureFormat format, PhotoData data) {
    boolean wanted = format == PictureFormat.JPEG && data.wantsSmall();
    return wanted ? new SmallInside(picture, data) : null;
  }

  private static int ceil(int n, int by) {
    return (n + by - 1) / by;
  }

  @Override
  public Picture strip(int top) {
    Picture strip = strips.strip(top);
    if (top == seen) {
      add(strip, top);
      seen += strip.height();
    }
    return strip;
  }

  private void add(Picture strip, int top) {
    float[][] planes = {strip.r(), strip.g(), strip.b()};
    int w = strip.width();
    for (int y = 0; y < strip.height(); y++) {
      int row = (top + y) / square * columns;
      for (int cell = 0; cell < columns; cell++) {
        int from = y * w + cell * square;
        int to = y * w + Math.min(w, (cell + 1) * square);
        counts[row + cell] += to - from;
        for (int c = 0; c < 3; c++) {
          sums[c][row + cell] += sum(planes[c], from, to);
        }
      }
    }
  }

  private static float sum(float[] plane, int from, int to) {
    float sum = 0;
    for (int i = from; i < to; i++) {
      sum += plane[i];
    }
    return sum;
  }

  private byte[] jpeg() {
    Picture small = new Picture(columns, counts.length / columns, mean(0), mean(1), mean(2));
    for (float quality : QUALITIES) {
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      PictureWriter.untagged(small, quality, out);
      if (out.size() <= PhotoData.SMALL_ROOM) {
        return out.toByteArray();
      }
    }
    return new byte[0];
  }

  private float[] mean(int channel) {
    float[] out = sums[channel].clone();
    for (int i = 0; i < out.length; i++) {
      out[i] /= Math.max(1, counts[i]);
    }
    return out;
  }

  /** Fills the room in the finished file. */
  void putInto(Path file, OutSpace space) throws IOException {
    try (RandomAccessFile out = new RandomAccessFile(file.toFile(), "rw")) {
      out.seek(ProfileTag.JPEG_HEAD);
      out.write(PictureWriter.jpegPieces(space, data.withSmall(jpeg())));
    }
  }
}

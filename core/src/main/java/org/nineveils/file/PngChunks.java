package org.nineveils.file;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Set;

/**
 * The chunks of a PNG (PNG specification, third edition, 5.3), walked without unpacking any: text
 * that was packed small may be endless once unpacked.
 */
final class PngChunks {
  private static final int SIGNATURE = 8;

  /** Length, type and check value. */
  private static final int AROUND = 12;

  /** What pixels are decoded from. */
  private static final Set<String> PIXELS = Set.of("IHDR", "PLTE", "tRNS", "IDAT", "IEND");

  private PngChunks() {}

  static boolean isPng(byte[] file) {
    return file.length > SIGNATURE && (file[0] & 255) == 0x89 && file[1] == 'P' && file[2] == 'N';
  }

  private interface Visit {
    /** Whether to go on. */
    boolean chunk(String type, int at, int length);
  }

  private static void walk(byte[] png, Visit visit) {
    ByteBuffer in = ByteBuffer.wrap(png);
    int at = SIGNATURE;
    while (at + AROUND <= png.length) {
      int length = in.getInt(at);
      String type = new String(png, at + 4, 4, StandardCharsets.ISO_8859_1);
      if (length < 0 || length > png.length - at - AROUND || !visit.chunk(type, at, length)) {
        return;
      }
      at += length + AROUND;
    }
  }

  /**
   * The content of a chunk before the pixels.
   *
   * @param most bytes that it may have
   * @return null where there is none such
   */
  static byte[] find(byte[] png, String wanted, int most) {
    byte[][] found = new byte[1][];
    walk(
        png,
        (type, at, length) -> {
          if (type.equals(wanted) && length <= most) {
            found[0] = Arrays.copyOfRange(png, at + 8, at + 8 + length);
          }
          return found[0] == null && !type.equals("IDAT");
        });
    return found[0];
  }

  /** The same picture with nothing but its pixels; the array itself where it has no more. */
  static byte[] pixels(byte[] png) {
    boolean[] more = new boolean[1];
    int[] end = {SIGNATURE};
    walk(
        png,
        (type, at, length) -> {
          more[0] |= !PIXELS.contains(type);
          end[0] = at + length + AROUND;
          return true;
        });
    if (!more[0]) {
      return png;
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream(png.length);
    out.write(png, 0, SIGNATURE);
    walk(
        png,
        (type, at, length) -> {
          if (PIXELS.contains(type)) {
            out.write(png, at, length + AROUND);
          }
          return true;
        });
    out.write(png, end[0], png.length - end[0]); // what is cut short stays so
    return out.toByteArray();
  }
}

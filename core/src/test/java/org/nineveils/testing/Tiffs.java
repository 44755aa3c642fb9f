package org.nineveils.testing;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** TIFF files by hand (TIFF 6.0): one strip, 8 bits a sample, nothing packed. */
public final class Tiffs {
  private Tiffs() {}

  /**
   * A file of one colour.
   *
   * @param photometric 1 grey, 2 RGB, 5 inks, 8 CIE L*a*b*
   * @param more a tag of another field: 338 what the last sample is (section 18; 1 premultiplied, 2
   *     straight), 332 the set of inks; 0 for none
   * @param value of that field
   * @param pixel samples of every pixel, 0…255
   */
  public static byte[] flat(int side, int photometric, int more, int value, int... pixel) {
    int fields = 10 + (more == 0 ? 0 : 1);
    int bits = 8 + 2 + 12 * fields + 4;
    int pixels = bits + 2 * pixel.length;
    ByteBuffer out = ByteBuffer.allocate(pixels + side * side * pixel.length);
    out.order(ByteOrder.LITTLE_ENDIAN).put((byte) 'I').put((byte) 'I');
    out.putShort((short) 42).putInt(8).putShort((short) fields);
    field(out, 256, 4, 1, side);
    field(out, 257, 4, 1, side);
    field(out, 258, 3, pixel.length, pixel.length > 2 ? bits : 8 | 8 << 16);
    field(out, 259, 3, 1, 1);
    field(out, 262, 3, 1, photometric);
    field(out, 273, 4, 1, pixels);
    field(out, 277, 3, 1, pixel.length);
    field(out, 278, 4, 1, side);
    field(out, 279, 4, 1, side * side * pixel.length);
    field(out, 284, 3, 1, 1);
    if (more != 0) {
      field(out, more, 3, 1, value);
    }
    out.putInt(0);
    for (int i = 0; i < pixel.length; i++) {
      out.putShort((short) 8);
    }
    for (int i = 0; i < side * side; i++) {
      for (int sample : pixel) {
        out.put((byte) sample);
      }
    }
    return out.array();
  }

  private static void field(ByteBuffer out, int tag, int type, int count, int value) {
    out.putShort((short) tag).putShort((short) type).putInt(count).putInt(value);
  }
}

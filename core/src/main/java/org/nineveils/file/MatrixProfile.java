package org.nineveils.file;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.nineveils.colour.Bradford;
import org.nineveils.colour.Chromaticity;
import org.nineveils.colour.Matrix3;

/**
 * ICC profiles of displays with three primaries and one curve. Source: ICC.1:2022, 7.2 (header),
 * 8.4 (which tags a display profile has), 10.6, 10.18 and 10.31 (curves, parametric curves, XYZ);
 * colours are adapted to D50 by Annex E.
 */
final class MatrixProfile {
  private static final Chromaticity D50 = new Chromaticity(0.3457, 0.3585);
  private static final double[] D50_XYZ = {0.9642, 1, 0.8249}; // 7.2.16
  private static final int HEAD = 128;
  private static final int VERSION = 0x04300000;

  /** Curve of sRGB as type 3 of parametric curves: exponent, then a…d. */
  private static final double[] SRGB_CURVE = {2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045};

  @SuppressWarnings("ArrayRecordComponent") // as it stands in the file
  private record Tag(String name, byte[] data) {}

  private MatrixProfile() {}

  static byte[] displayP3() {
    return displayP3("Display P3");
  }

  static byte[] displayP3(String name) {
    return of(name, NamedSpace.DISPLAY_P3.toXyz(), parametric(3, SRGB_CURVE));
  }

  static byte[] opRgb() {
    return of("opRGB", NamedSpace.OP_RGB.toXyz(), parametric(0, 563 / 256.0));
  }

  /**
   * A profile.
   *
   * @param toXyz linear values to XYZ under D65
   */
  private static byte[] of(String name, Matrix3 toXyz, byte[] curve) {
    Matrix3 adapt = Bradford.adapt(Chromaticity.D65, D50);
    double[] m = adapt.after(toXyz).rows();
    double[] a = adapt.rows();
    List<Tag> tags = new ArrayList<>();
    tags.add(new Tag("desc", text(name)));
    tags.add(new Tag("cprt", text("No rights are claimed")));
    tags.add(new Tag("wtpt", numbers("XYZ ", D50_XYZ)));
    tags.add(new Tag("chad", numbers("sf32", a)));
    tags.add(new Tag("rXYZ", numbers("XYZ ", m[0], m[3], m[6])));
    tags.add(new Tag("gXYZ", numbers("XYZ ", m[1], m[4], m[7])));
    tags.add(new Tag("bXYZ", numbers("XYZ ", m[2], m[5], m[8])));
    for (String channel : List.of("rTRC", "gTRC", "bTRC")) {
      tags.add(new Tag(channel, curve));
    }
    return laidOut(tags);
  }

  private static byte[] laidOut(List<Tag> tags) {
    int size = HEAD + 4 + 12 * tags.size();
    for (Tag tag : tags) {
      size += even(tag.data().length);
    }
    ByteBuffer out = ByteBuffer.allocate(size);
    out.putInt(0, size).putInt(8, VERSION);
    put(out, 12, "mntrRGB XYZ ");
    out.putShort(24, (short) 2026).putShort(26, (short) 12).putShort(28, (short) 1);
    put(out, 36, "acsp");
    for (int i = 0; i < 3; i++) {
      out.putInt(68 + 4 * i, fixed(D50_XYZ[i]));
    }
    out.position(HEAD);
    out.putInt(tags.size());
    int at = HEAD + 4 + 12 * tags.size();
    for (Tag tag : tags) {
      out.put(tag.name().getBytes(StandardCharsets.US_ASCII)).putInt(at).putInt(tag.data().length);
      out.put(at, tag.data());
      at += even(tag.data().length);
    }
    return out.array();
  }

  private static int even(int bytes) {
    return (bytes + 3) / 4 * 4;
  }

  private static void put(ByteBuffer out, int at, String text) {
    out.put(at, text.getBytes(StandardCharsets.US_ASCII));
  }

  /** Words in one language, 10.15. */
  private static byte[] text(String words) {
    byte[] utf16 = words.getBytes(StandardCharsets.UTF_16BE);
    ByteBuffer out = ByteBuffer.allocate(28 + utf16.length);
    put(out, 0, "mluc");
    out.putInt(8, 1).putInt(12, 12);
    put(out, 16, "enGB");
    out.putInt(20, utf16.length).putInt(24, 28).put(28, utf16);
    return out.array();
  }

  private static byte[] numbers(String type, double... values) {
    ByteBuffer out = ByteBuffer.allocate(8 + 4 * values.length);
    put(out, 0, type);
    for (int i = 0; i < values.length; i++) {
      out.putInt(8 + 4 * i, fixed(values[i]));
    }
    return out.array();
  }

  private static byte[] parametric(int function, double... values) {
    ByteBuffer out = ByteBuffer.allocate(12 + 4 * values.length);
    put(out, 0, "para");
    out.putShort(8, (short) function);
    for (int i = 0; i < values.length; i++) {
      out.putInt(12 + 4 * i, fixed(values[i]));
    }
    return out.array();
  }

  /** As s15Fixed16. */
  private static int fixed(double value) {
    return (int) Math.round(value * 65536);
  }
}

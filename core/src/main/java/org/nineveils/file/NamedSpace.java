package org.nineveils.file;

import java.nio.ByteBuffer;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.nineveils.colour.Bradford;
import org.nineveils.colour.Chromaticity;
import org.nineveils.colour.Matrix3;
import org.nineveils.colour.Srgb;
import org.nineveils.picture.Picture;

/**
 * A colour space that a file names by numbers instead of carrying a profile: chromaticities of its
 * primaries and white, and how its values become light.
 *
 * <p>Sources: ITU-T H.273 (2021), tables 2 and 3, for the numbers of cICP chunks; PNG
 * specification, third edition, 11.3.2, for cHRM, gAMA and what comes first; IEC 61966-2-5 for
 * opRGB, which cameras name by “R03” (DCF 2.0).
 *
 * @param toLinear linear values of the space to linear sRGB
 * @param decode encoded 0…1 to light 0…1
 * @param encode the other way; null where nothing is written in it
 */
record NamedSpace(Matrix3 toLinear, DoubleUnaryOperator decode, DoubleUnaryOperator encode) {
  private static final int CODES = 1 << 16;

  private record Primaries(Chromaticity r, Chromaticity g, Chromaticity b, Chromaticity white) {
    Primaries(double rx, double ry, double gx, double gy, double bx, double by) {
      this(
          new Chromaticity(rx, ry),
          new Chromaticity(gx, gy),
          new Chromaticity(bx, by),
          Chromaticity.D65);
    }

    /** Linear values to XYZ with the white at Y = 1. */
    private Matrix3 toXyz() {
      double[] x = r.toXyz();
      double[] y = g.toXyz();
      double[] z = b.toXyz();
      Matrix3 columns = new Matrix3(x[0], y[0], z[0], x[1], y[1], z[1], x[2], y[2], z[2]);
      double[] w = white.toXyz();
      double[] share = columns.inverse().apply(w[0], w[1], w[2]);
      return columns.after(Matrix3.diagonal(share[0], share[1], share[2]));
    }

    Matrix3 toLinearSrgb() {
      return Srgb.fromXyz().after(Bradford.adapt(white, Chromaticity.D65)).after(toXyz());
    }
  }

  private static final Primaries BT709 = new Primaries(0.64, 0.33, 0.30, 0.60, 0.15, 0.06);

  /** H.273, table 2. */
  private static final Map<Integer, Primaries> PRIMARIES =
      Map.of(
          1, BT709,
          5, new Primaries(0.64, 0.33, 0.29, 0.60, 0.15, 0.06),
          6, new Primaries(0.630, 0.340, 0.310, 0.595, 0.155, 0.070),
          7, new Primaries(0.630, 0.340, 0.310, 0.595, 0.155, 0.070),
          9, new Primaries(0.708, 0.292, 0.170, 0.797, 0.131, 0.046),
          12, new Primaries(0.680, 0.320, 0.265, 0.690, 0.150, 0.060));

  /** The curve of BT.709, 601 and 2020 from values to light, H.273, table 3. */
  private static double broadcast(double v) {
    return v < 0.081242858 ? v / 4.5 : Math.pow((v + 0.099296826) / 1.099296826, 1 / 0.45);
  }

  /** H.273, table 3. */
  private static final Map<Integer, DoubleUnaryOperator> TRANSFERS =
      Map.of(
          1,
          NamedSpace::broadcast,
          4,
          power(2.2),
          5,
          power(2.8),
          6,
          NamedSpace::broadcast,
          8,
          v -> v,
          13,
          Srgb::decode,
          14,
          NamedSpace::broadcast,
          15,
          NamedSpace::broadcast);

  private static final int PQ = 16;
  private static final int HLG = 18;
  private static final int NARROW = 0;

  private NamedSpace(Matrix3 toLinear, DoubleUnaryOperator decode) {
    this(toLinear, decode, null);
  }

  /** IEC 61966-2-5. */
  static final NamedSpace OP_RGB =
      new NamedSpace(
          new Primaries(0.64, 0.33, 0.21, 0.71, 0.15, 0.06).toLinearSrgb(),
          power(563 / 256.0),
          power(256 / 563.0));

  /** The primaries of SMPTE EG 432-1 under D65, with the curve of sRGB. */
  static final NamedSpace DISPLAY_P3 =
      new NamedSpace(PRIMARIES.get(12).toLinearSrgb(), Srgb::decode, Srgb::encode);

  private static DoubleUnaryOperator power(double exponent) {
    return v -> Math.pow(v, exponent);
  }

  /**
   * The space that a PNG names.
   *
   * @param profiled whether it carries a profile, which comes before all but cICP
   * @return null where it names none, or sRGB, or carries a profile that comes first
   * @throws PictureException with a sentence where its range is beyond white
   */
  static NamedSpace ofPng(byte[] png, boolean profiled, String name) {
    byte[] coded = PngChunks.find(png, "cICP", 4);
    if (coded != null && coded.length == 4) {
      return ofCodes(coded[0] & 255, coded[1] & 255, coded[3] & 255, name);
    }
    if (profiled || PngChunks.find(png, "sRGB", 1) != null) {
      return null;
    }
    byte[] gamma = PngChunks.find(png, "gAMA", 4);
    if (gamma == null || gamma.length < 4) {
      return null;
    }
    long encoded = ByteBuffer.wrap(gamma).getInt() & 0xffffffffL;
    if (encoded < 10_000 || encoded > 500_000) {
      return null; // a value that no picture is meant by
    }
    return new NamedSpace(chromaticities(png).toLinearSrgb(), power(100_000.0 / encoded));
  }

  private static NamedSpace ofCodes(int primaries, int transfer, int range, String name) {
    if (transfer == PQ || transfer == HLG) {
      throw new PictureException(
          "“%s” holds light beyond white (high dynamic range), which is not taken; save it in standard range."
              .formatted(name));
    }
    Primaries of = PRIMARIES.get(primaries);
    DoubleUnaryOperator curve = TRANSFERS.get(transfer);
    if (of == null || curve == null || (primaries == 1 && transfer == 13 && range != NARROW)) {
      return null;
    }
    return new NamedSpace(
        of.toLinearSrgb(),
        range == NARROW
            ? v -> curve.applyAsDouble(Math.min(1, Math.max(0, (v * 255 - 16) / 219)))
            : curve);
  }

  /** Of cHRM; those of BT.709 where there are none, or none that make sense. */
  private static Primaries chromaticities(byte[] png) {
    byte[] chunk = PngChunks.find(png, "cHRM", 32);
    if (chunk == null || chunk.length < 32) {
      return BT709;
    }
    Chromaticity[] c = new Chromaticity[4];
    ByteBuffer in = ByteBuffer.wrap(chunk);
    for (int i = 0; i < 4; i++) {
      double x = (in.getInt() & 0xffffffffL) / 100_000.0;
      double y = (in.getInt() & 0xffffffffL) / 100_000.0;
      if (x > 0.9 || y < 0.01 || y > 0.9) {
        return BT709;
      }
      c[i] = new Chromaticity(x, y);
    }
    return new Primaries(c[1], c[2], c[3], c[0]);
  }

  /** The picture in sRGB; what lies outside it is brought to its nearest border. */
  Picture toSrgb(Picture p) {
    return told(p, decode, toLinear, Srgb::encode);
  }

  /** Linear values to XYZ under D65. */
  Matrix3 toXyz() {
    return Srgb.fromXyz().inverse().after(toLinear);
  }

  /** An sRGB picture told in this space. */
  Picture fromSrgb(Picture p) {
    return told(p, Srgb::decode, toLinear.inverse(), encode);
  }

  private static Picture told(
      Picture p, DoubleUnaryOperator decode, Matrix3 linear, DoubleUnaryOperator encode) {
    float[] light = new float[CODES];
    float[] code = new float[CODES];
    for (int i = 0; i < CODES; i++) {
      light[i] = (float) decode.applyAsDouble(i / (CODES - 1.0));
    }
    for (int i = 0; i < CODES; i++) {
      code[i] = (float) encode.applyAsDouble(i / (CODES - 1.0));
    }
    double[] m = linear.rows();
    Picture out = Picture.blank(p.width(), p.height());
    float[][] to = {out.r(), out.g(), out.b()};
    for (int i = 0; i < p.r().length; i++) {
      float r = light[index(p.r()[i])];
      float g = light[index(p.g()[i])];
      float b = light[index(p.b()[i])];
      for (int c = 0; c < 3; c++) {
        double v = m[3 * c] * r + m[3 * c + 1] * g + m[3 * c + 2] * b;
        to[c][i] =
            v < 0.002 ? (float) encode.applyAsDouble(Math.max(0, v)) : code[index((float) v)];
      }
    }
    return out;
  }

  private static int index(float v) {
    return (int) (Math.min(1f, Math.max(0f, v)) * (CODES - 1) + 0.5f);
  }
}

package org.nineveils.file;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.ColorConvertOp;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.function.UnaryOperator;
import org.nineveils.picture.OverStrips;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.picture.Strips;

/**
 * The colour space that a result is written in: its profile, and how sRGB is told in it. All work
 * is done in sRGB, so a wider space says the same colours with other numbers.
 */
public final class OutSpace {
  /** What every result was in before there was a choice. */
  public static final OutSpace SRGB =
      new OutSpace(Profiles.srgbBytes(), UnaryOperator.identity(), true);

  private static final OutSpace P3 = of(NamedSpace.DISPLAY_P3, MatrixProfile.displayP3());
  private static final OutSpace OP_RGB = of(NamedSpace.OP_RGB, MatrixProfile.opRgb());

  private final byte[] profile;
  private final UnaryOperator<Picture> into;
  private final boolean srgb;

  private OutSpace(byte[] profile, UnaryOperator<Picture> into, boolean srgb) {
    this.profile = profile;
    this.into = into;
    this.srgb = srgb;
  }

  private static OutSpace of(NamedSpace space, byte[] profile) {
    return new OutSpace(profile, space::fromSrgb, false);
  }

  /**
   * The space of a choice.
   *
   * @param photo file that the result is made of; only read where its own space is wanted
   */
  public static OutSpace of(SpaceChoice choice, byte[] photo) {
    return switch (choice) {
      case SRGB -> SRGB;
      case DISPLAY_P3 -> P3;
      case OWN -> own(photo);
    };
  }

  private static OutSpace own(byte[] photo) {
    ICC_Profile own = PictureReader.profile(photo).orElse(null);
    if (own == null) {
      boolean optional = !RawMark.isRaw(photo) && CameraTags.of(photo).space() != null;
      return optional ? OP_RGB : SRGB;
    }
    if (Profiles.isSrgb(own) || own.getColorSpaceType() != ColorSpace.TYPE_RGB) {
      return SRGB;
    }
    OutSpace out = new OutSpace(own.getData(), p -> converted(p, own), false);
    try {
      Picture tried = out.into.apply(Picture.blank(1, 1)); // some profiles only go one way
      return tried.width() == 1 ? out : SRGB;
    } catch (CMMException | IllegalArgumentException e) {
      return SRGB;
    }
  }

  private static Picture converted(Picture p, ICC_Profile own) {
    int n = p.r().length;
    short[] codes = new short[3 * n];
    for (int i = 0; i < n; i++) {
      codes[3 * i] = (short) Quantise.to16(p.r()[i]);
      codes[3 * i + 1] = (short) Quantise.to16(p.g()[i]);
      codes[3 * i + 2] = (short) Quantise.to16(p.b()[i]);
    }
    WritableRaster in = raster(p, codes);
    short[] made = new short[codes.length];
    ICC_Profile[] path = {Profiles.srgb(), own};
    new ColorConvertOp(path, null).filter(in, raster(p, made));
    Picture out = Picture.blank(p.width(), p.height());
    for (int i = 0; i < n; i++) {
      out.r()[i] = (made[3 * i] & 0xffff) / 65535f;
      out.g()[i] = (made[3 * i + 1] & 0xffff) / 65535f;
      out.b()[i] = (made[3 * i + 2] & 0xffff) / 65535f;
    }
    return out;
  }

  private static WritableRaster raster(Picture size, short[] codes) {
    DataBuffer data = new DataBufferUShort(codes, codes.length);
    int w = size.width();
    return Raster.createInterleavedRaster(
        data, w, size.height(), 3 * w, 3, new int[] {0, 1, 2}, null);
  }

  boolean isSrgb() {
    return srgb;
  }

  /** The profile that says so, an ICC file. */
  byte[] profile() {
    return profile.clone();
  }

  /** Strips of sRGB in this space. */
  Strips of(Strips strips) {
    return srgb
        ? strips
        : new OverStrips(strips) {
          @Override
          public Picture strip(int top) {
            return into.apply(strips.strip(top));
          }
        };
  }
}

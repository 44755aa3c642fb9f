package org.nineveils.file;

import java.awt.Transparency;
import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ColorModel;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;

/**
 * Turns a decoded image of any layout into planar floats: integers of up to 16 bits by their own
 * depth, floats as they are, limited to 0…1.
 */
final class SampleReader {
  /**
   * What a file holds.
   *
   * @param colours in sRGB, or as encoded where another space is named
   * @param alpha how much of each pixel is there, 0…1; null where all is
   */
  @SuppressWarnings("ArrayRecordComponent") // a plane, handed over
  record Decoded(Picture colours, float[] alpha) {}

  private static final float CODE = 1 / 65535f;

  private SampleReader() {}

  /**
   * The image in sRGB.
   *
   * @param image as decoded
   * @param tags what the file says of its samples
   * @param profile profile to read the samples by, or null for the image's own colour space
   * @param named space that the samples are in where there is no profile, or null
   * @param name for messages
   */
  static Decoded toSrgb(
      BufferedImage image, CameraTags tags, ICC_Profile profile, NamedSpace named, String name) {
    BufferedImage direct = tags.premultiplied() ? straight(spread(image)) : spread(image);
    ColorModel model = direct.getColorModel();
    ICC_Profile source = profile != null ? profile : profileOf(model.getColorSpace());
    int colours = model.getNumColorComponents();
    if (source != null && source.getNumComponents() != colours) {
      source = null;
    }
    Raster samples = direct.getRaster();
    float scale = scale(samples, tags.bits());
    Picture picture;
    if (named != null && colours == 3) {
      picture = named.toSrgb(planes(samples, colours, scale));
    } else if (source == null && model.getColorSpace().getType() == ColorSpace.TYPE_CMYK) {
      picture = inks(samples, scale);
    } else if (source == null || Profiles.isSrgb(source)) {
      checkPlain(model, name);
      picture = planes(samples, colours, scale);
    } else {
      picture = planes(convert(samples, colours, scale, source, name), 3, CODE);
    }
    boolean alpha = model.hasAlpha() && samples.getNumBands() > colours;
    return new Decoded(picture, alpha ? plane(samples, colours, scale) : null);
  }

  /** Palettes and packed or exotic layouts become plain samples; plain ones stay untouched. */
  private static BufferedImage spread(BufferedImage image) {
    int type = image.getRaster().getTransferType();
    boolean whole = type == DataBuffer.TYPE_BYTE || type == DataBuffer.TYPE_USHORT;
    boolean real = type == DataBuffer.TYPE_FLOAT || type == DataBuffer.TYPE_DOUBLE;
    boolean plain =
        !(image.getColorModel() instanceof IndexColorModel)
            && image.getRaster().getNumBands() == image.getColorModel().getNumComponents()
            && (whole || real);
    if (plain) {
      return image;
    }
    boolean alpha = image.getColorModel().hasAlpha();
    BufferedImage copy =
        new BufferedImage(
            image.getWidth(),
            image.getHeight(),
            alpha ? BufferedImage.TYPE_4BYTE_ABGR : BufferedImage.TYPE_3BYTE_BGR);
    for (int y = 0; y < image.getHeight(); y++) {
      for (int x = 0; x < image.getWidth(); x++) {
        copy.setRGB(x, y, image.getRGB(x, y));
      }
    }
    return copy;
  }

  /** Colours by themselves, of an image in which they were laid over black; decoders do not say. */
  private static BufferedImage straight(BufferedImage image) {
    ColorModel model = image.getColorModel();
    if (!model.hasAlpha() || image.getRaster().getNumBands() != model.getNumComponents()) {
      return image;
    }
    int type = image.getRaster().getTransferType();
    var said =
        new ComponentColorModel(model.getColorSpace(), true, true, Transparency.TRANSLUCENT, type);
    BufferedImage out = new BufferedImage(said, image.getRaster(), true, null);
    out.coerceData(false);
    return out;
  }

  /** By what samples are multiplied to lie in 0…1. */
  private static float scale(Raster raster, int bits) {
    int type = raster.getTransferType();
    boolean real = type == DataBuffer.TYPE_FLOAT || type == DataBuffer.TYPE_DOUBLE;
    int held = raster.getSampleModel().getSampleSize(0);
    int own = bits > 8 && bits < held ? bits : held;
    return real ? 1 : 1f / ((1 << own) - 1);
  }

  static ICC_Profile profileOf(ColorSpace space) {
    if (space.isCS_sRGB() || !(space instanceof ICC_ColorSpace icc)) {
      return null;
    }
    // The JDK gives untagged grey a linear profile; files without a tag mean encoded values.
    return space.getType() == ColorSpace.TYPE_GRAY
            && icc.getProfile().equals(ICC_Profile.getInstance(ColorSpace.CS_GRAY))
        ? null
        : icc.getProfile();
  }

  private static Raster convert(
      Raster samples, int colours, float scale, ICC_Profile source, String name) {
    int[] bands = new int[colours];
    for (int i = 0; i < colours; i++) {
      bands[i] = i;
    }
    Raster colour =
        samples.createChild(
            samples.getMinX(),
            samples.getMinY(),
            samples.getWidth(),
            samples.getHeight(),
            0,
            0,
            bands);
    WritableRaster wide =
        Raster.createInterleavedRaster(
            DataBuffer.TYPE_USHORT, colour.getWidth(), colour.getHeight(), colours, null);
    float[] row = new float[colour.getWidth() * colours];
    int[] codes = new int[row.length];
    for (int y = 0; y < colour.getHeight(); y++) {
      colour.getPixels(0, y, colour.getWidth(), 1, row);
      for (int i = 0; i < row.length; i++) {
        codes[i] = Quantise.to16(row[i] * scale);
      }
      wide.setPixels(0, y, colour.getWidth(), 1, codes);
    }
    WritableRaster out =
        Raster.createInterleavedRaster(
            DataBuffer.TYPE_USHORT, colour.getWidth(), colour.getHeight(), 3, null);
    try {
      ICC_Profile[] path = {source, Profiles.srgb()};
      return new ColorConvertOp(path, null).filter(wide, out);
    } catch (CMMException | IllegalArgumentException e) {
      throw new PictureException(
          "The colour profile in “%s” cannot be used to convert it to sRGB.".formatted(name), e);
    }
  }

  private static void checkPlain(ColorModel model, String name) {
    int type = model.getColorSpace().getType();
    if (type != ColorSpace.TYPE_RGB && type != ColorSpace.TYPE_GRAY) {
      throw new PictureException(
          "“%s” has its colours as neither RGB, CMYK nor grey, and no profile says what they are."
              .formatted(name));
    }
  }

  /**
   * Cyan, magenta, yellow and black without a profile: red is 1 − min(1, c · (1 − k) + k) and so on
   * (CSS Color Module Level 5, 8.2, the naive conversion).
   */
  private static Picture inks(Raster raster, float scale) {
    Picture out = planes(raster, 3, scale);
    float[] black = plane(raster, 3, scale);
    for (float[] plane : new float[][] {out.r(), out.g(), out.b()}) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = 1 - Math.min(1, plane[i] * (1 - black[i]) + black[i]);
      }
    }
    return out;
  }

  private static Picture planes(Raster raster, int colours, float scale) {
    boolean grey = colours < 3;
    float[] r = plane(raster, 0, scale);
    return new Picture(
        raster.getWidth(),
        raster.getHeight(),
        r,
        grey ? r.clone() : plane(raster, 1, scale),
        grey ? r.clone() : plane(raster, 2, scale));
  }

  private static float[] plane(Raster raster, int band, float scale) {
    int w = raster.getWidth();
    float[] out = new float[w * raster.getHeight()];
    float[] row = new float[w];
    for (int y = 0; y < raster.getHeight(); y++) {
      raster.getSamples(0, y, w, 1, band, row);
      for (int x = 0; x < w; x++) {
        float v = row[x] * scale;
        out[y * w + x] = v > 0 ? Math.min(1f, v) : 0; // not a number counts as none
      }
    }
    return out;
  }
}

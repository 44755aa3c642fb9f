package org.nineveils.picture;

import java.awt.color.CMMException;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.awt.image.ColorConvertOp;
import java.awt.image.ColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.IndexColorModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;

/** Turns a decoded image of any layout into planar sRGB floats, 16-bit samples kept as 16 bits. */
final class Samples {
  private Samples() {}

  /**
   * The image in sRGB.
   *
   * @param image as decoded
   * @param profile profile to read the samples by, or null for the image's own colour space
   * @param name for messages
   */
  static Picture toSrgb(BufferedImage image, ICC_Profile profile, String name) {
    BufferedImage direct = spread(image);
    ColorModel model = direct.getColorModel();
    ICC_Profile source = profile != null ? profile : profileOf(model.getColorSpace());
    int colours = model.getNumColorComponents();
    if (source != null && source.getNumComponents() != colours) {
      source = null;
    }
    Raster samples = direct.getRaster();
    Picture picture;
    if (source == null || Profiles.isSrgb(source)) {
      picture = planes(samples, colours);
    } else {
      picture = planes(convert(samples, colours, source, name), 3);
    }
    if (model.hasAlpha() && samples.getNumBands() > colours) {
      overWhite(picture, samples, colours);
    }
    return picture;
  }

  /** Palettes and packed or exotic layouts become plain samples; plain ones stay untouched. */
  private static BufferedImage spread(BufferedImage image) {
    int type = image.getRaster().getTransferType();
    boolean plain =
        !(image.getColorModel() instanceof IndexColorModel)
            && image.getSampleModel().getSampleSize(0) % 8 == 0
            && image.getRaster().getNumBands() == image.getColorModel().getNumComponents()
            && (type == DataBuffer.TYPE_BYTE || type == DataBuffer.TYPE_USHORT);
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

  private static ICC_Profile profileOf(ColorSpace space) {
    if (space.isCS_sRGB() || !(space instanceof ICC_ColorSpace icc)) {
      return null;
    }
    // The JDK gives untagged grey a linear profile; files without a tag mean encoded values.
    return space.getType() == ColorSpace.TYPE_GRAY
            && icc.getProfile().equals(ICC_Profile.getInstance(ColorSpace.CS_GRAY))
        ? null
        : icc.getProfile();
  }

  private static Raster convert(Raster samples, int colours, ICC_Profile source, String name) {
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
    int scale = colour.getTransferType() == DataBuffer.TYPE_BYTE ? 257 : 1;
    int[] row = new int[colour.getWidth() * colours];
    for (int y = 0; y < colour.getHeight(); y++) {
      colour.getPixels(0, y, colour.getWidth(), 1, row);
      for (int i = 0; i < row.length; i++) {
        row[i] *= scale;
      }
      wide.setPixels(0, y, colour.getWidth(), 1, row);
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

  private static Picture planes(Raster raster, int colours) {
    int w = raster.getWidth();
    int h = raster.getHeight();
    Picture picture = Picture.blank(w, h);
    float scale = raster.getTransferType() == DataBuffer.TYPE_BYTE ? 1 / 255f : 1 / 65535f;
    int bands = raster.getNumBands();
    int green = colours >= 3 ? 1 : 0;
    int blue = colours >= 3 ? 2 : 0;
    int[] row = new int[w * bands];
    for (int y = 0; y < h; y++) {
      raster.getPixels(0, y, w, 1, row);
      for (int x = 0; x < w; x++) {
        picture.r()[y * w + x] = row[x * bands] * scale;
        picture.g()[y * w + x] = row[x * bands + green] * scale;
        picture.b()[y * w + x] = row[x * bands + blue] * scale;
      }
    }
    return picture;
  }

  private static void overWhite(Picture picture, Raster samples, int band) {
    int w = picture.width();
    float scale = samples.getTransferType() == DataBuffer.TYPE_BYTE ? 1 / 255f : 1 / 65535f;
    int[] row = new int[w];
    for (int y = 0; y < picture.height(); y++) {
      samples.getSamples(0, y, w, 1, band, row);
      for (int x = 0; x < w; x++) {
        float a = row[x] * scale;
        int i = y * w + x;
        picture.r()[i] = 1 + (picture.r()[i] - 1) * a;
        picture.g()[i] = 1 + (picture.g()[i] - 1) * a;
        picture.b()[i] = 1 + (picture.b()[i] - 1) * a;
      }
    }
  }
}

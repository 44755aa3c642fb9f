package org.nineveils.picture;

import java.awt.Point;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.plugins.tiff.BaselineTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.stream.ImageOutputStream;

/** Writes pictures as JPEG, PNG or 16-bit TIFF, each with an sRGB profile inside. */
public final class PictureWriter {
  private static final float RESULT_QUALITY = 0.95f;

  private PictureWriter() {}

  /** The bytes of a file in the given format, at the quality of a finished result. */
  public static byte[] write(Picture picture, PictureFormat format) {
    return switch (format) {
      case JPEG -> jpeg(picture, RESULT_QUALITY);
      case PNG -> SrgbTag.intoPng(encode("png", "com.sun.imageio", image8(picture), -1, false));
      case TIFF -> encode("tiff", "com.sun.imageio", image16(picture), -1, true);
    };
  }

  /** The picture as a PNG with 16 bits a channel. */
  public static byte[] png16(Picture picture) {
    return SrgbTag.intoPng(encode("png", "com.sun.imageio", image16(picture), -1, false));
  }

  /**
   * The picture as a JPEG file.
   *
   * @param quality 0…1, larger is better
   */
  public static byte[] jpeg(Picture picture, float quality) {
    return SrgbTag.intoJpeg(encode("jpeg", "com.sun.imageio", image8(picture), quality, false));
  }

  private static byte[] encode(
      String format, String maker, BufferedImage image, float quality, boolean tiff) {
    ImageWriter writer = writer(format, maker);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream(image.getWidth() * image.getHeight());
    try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
      writer.setOutput(out);
      ImageWriteParam how = writer.getDefaultWriteParam();
      IIOMetadata metadata = null;
      if (quality >= 0) {
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionQuality(quality);
      }
      if (tiff) {
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionType("Deflate");
        metadata = tiffProfile(writer, how, image);
      }
      writer.write(null, new IIOImage(image, null, metadata), how);
    } catch (IOException e) {
      throw new PictureException("The picture could not be written as %s.".formatted(format), e);
    } finally {
      writer.dispose();
    }
    return bytes.toByteArray();
  }

  private static IIOMetadata tiffProfile(
      ImageWriter writer, ImageWriteParam how, BufferedImage image) throws IOException {
    IIOMetadata plain = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), how);
    TIFFDirectory directory = TIFFDirectory.createFromMetadata(plain);
    TIFFTag tag = BaselineTIFFTagSet.getInstance().getTag(BaselineTIFFTagSet.TAG_ICC_PROFILE);
    byte[] profile = Profiles.srgbBytes();
    directory.addTIFFField(new TIFFField(tag, TIFFTag.TIFF_UNDEFINED, profile.length, profile));
    return directory.getAsMetadata();
  }

  /** The JDK's own writer, so that output never depends on the order of plug-ins. */
  private static ImageWriter writer(String format, String maker) {
    Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName(format);
    while (writers.hasNext()) {
      ImageWriter writer = writers.next();
      if (writer.getClass().getName().startsWith(maker)) {
        return writer;
      }
    }
    throw new PictureException("This Java installation cannot write %s files.".formatted(format));
  }

  private static BufferedImage image8(Picture picture) {
    BufferedImage image =
        new BufferedImage(picture.width(), picture.height(), BufferedImage.TYPE_3BYTE_BGR);
    byte[] to = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    float[] r = picture.r();
    float[] g = picture.g();
    float[] b = picture.b();
    for (int i = 0, t = 0; i < r.length; i++, t += 3) {
      to[t] = (byte) Quantise.to8(b[i]);
      to[t + 1] = (byte) Quantise.to8(g[i]);
      to[t + 2] = (byte) Quantise.to8(r[i]);
    }
    return image;
  }

  private static BufferedImage image16(Picture picture) {
    float[][] planes = {picture.r(), picture.g(), picture.b()};
    short[] samples = new short[planes[0].length * 3];
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < planes[c].length; i++) {
        samples[i * 3 + c] = (short) Quantise.to16(planes[c][i]);
      }
    }
    WritableRaster raster =
        Raster.createInterleavedRaster(
            new DataBufferUShort(samples, samples.length),
            picture.width(),
            picture.height(),
            picture.width() * 3,
            3,
            new int[] {0, 1, 2},
            new Point(0, 0));
    ComponentColorModel model =
        new ComponentColorModel(
            ColorSpace.getInstance(ColorSpace.CS_sRGB),
            false,
            false,
            Transparency.OPAQUE,
            DataBuffer.TYPE_USHORT);
    return new BufferedImage(model, raster, false, null);
  }
}

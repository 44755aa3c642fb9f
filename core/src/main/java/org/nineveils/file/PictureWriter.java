package org.nineveils.file;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.RenderedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
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
import javax.imageio.stream.FileCacheImageOutputStream;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import org.nineveils.file.data.PhotoData;
import org.nineveils.file.data.Pieces;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.picture.Strips;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** Writes pictures as JPEG, PNG or TIFF, each with a profile inside: sRGB where nothing is said. */
public final class PictureWriter {
  private PictureWriter() {}

  /** The bytes of a file in the given format, at the quality of a finished result. */
  public static byte[] write(Picture picture, PictureFormat format) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream(picture.r().length);
    write(
        Strips.of(picture),
        format,
        PictureFormat.QUALITY,
        OutSpace.SRGB,
        PhotoData.NONE,
        bytes,
        null);
    return bytes.toByteArray();
  }

  /**
   * Writes a file in the given format, strip by strip.
   *
   * @param quality of a JPEG, {@link PictureFormat#LEAST_QUALITY}…100
   * @param data of the photo that it was made of; made true of the result
   * @throws PictureException if it cannot be written; nothing is left behind then
   */
  public static void write(
      Strips picture, PictureFormat format, int quality, PhotoData data, Path file) {
    write(picture, format, quality, OutSpace.SRGB, data, file);
  }

  /**
   * The same in another colour space.
   *
   * @param picture in sRGB
   */
  public static void write(
      Strips picture,
      PictureFormat format,
      int quality,
      OutSpace space,
      PhotoData data,
      Path file) {
    Path part = file.resolveSibling(file.getFileName() + ".part");
    try {
      PhotoData own = data.trueOf(picture.width(), picture.height(), space.isSrgb());
      SmallInside small = SmallInside.of(picture, format, own);
      try (OutputStream out = Files.newOutputStream(part)) {
        Strips from = small == null ? picture : small;
        write(from, format, quality, space, own, out, part.toAbsolutePath().getParent());
      }
      if (small != null) {
        small.putInto(part, space);
      }
      Files.move(
          part,
          file,
          java.nio.file.StandardCopyOption.ATOMIC_MOVE,
          java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      throw new PictureException("“%s” could not be written.".formatted(file.getFileName()), e);
    } finally {
      remove(part);
    }
  }

  private static void remove(Path part) {
    try {
      Files.deleteIfExists(part);
    } catch (IOException e) {
      // what could not be written cannot always be removed
    }
  }

  private static void write(
      Strips srgb,
      PictureFormat format,
      int quality,
      OutSpace space,
      PhotoData data,
      OutputStream out,
      Path scratch) {
    Strips p = space.of(srgb);
    switch (format) {
      case JPEG -> {
        ImageWriter writer = writer("jpeg");
        ImageWriteParam how = quality(writer, quality / 100f);
        RenderedImage image = new StripImage(p, false);
        OutputStream tagged = new Inserting(out, ProfileTag.JPEG_HEAD, jpegPieces(space, data));
        encode(writer, how, image, fullColour(writer, how, image, data), tagged, scratch);
      }
      case PNG, PNG_16 ->
          png(new StripImage(p, format == PictureFormat.PNG_16), space, data, out, scratch);
      case TIFF -> {
        ImageWriter writer = writer("tiff");
        ImageWriteParam how = writer.getDefaultWriteParam();
        how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
        how.setCompressionType("Deflate");
        RenderedImage image = new StripImage(p, true);
        encode(writer, how, image, tiffFields(writer, how, image, space, data), out, scratch);
      }
    }
  }

  /** Profile and own data, to stand after the header of a JPEG. */
  static byte[] jpegPieces(OutSpace space, PhotoData data) {
    return joined(ProfileTag.jpegSegments(space.profile()), Pieces.jpeg(data));
  }

  private static byte[] joined(byte[] a, byte[] b) {
    byte[] out = java.util.Arrays.copyOf(a, a.length + b.length);
    System.arraycopy(b, 0, out, a.length, b.length);
    return out;
  }

  private static void png(
      RenderedImage image, OutSpace space, PhotoData data, OutputStream out, Path scratch) {
    ImageWriter writer = writer("png");
    OutputStream tagged =
        new Inserting(
            out,
            ProfileTag.PNG_HEAD,
            joined(
                ProfileTag.pngChunk(space.profile(), space.isSrgb() ? "sRGB" : "RGB"),
                Pieces.png(data)));
    encode(writer, writer.getDefaultWriteParam(), image, null, tagged, scratch);
  }

  /** The picture as a PNG with 16 bits a channel. */
  public static byte[] png16(Picture picture) {
    return write(picture, PictureFormat.PNG_16);
  }

  /**
   * The picture as a JPEG file for lists and previews: colour at half the size, nothing dithered.
   *
   * @param quality 0…1, larger is better
   */
  public static byte[] jpeg(Picture picture, float quality) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream(picture.r().length);
    untagged(
        picture,
        quality,
        new Inserting(bytes, ProfileTag.JPEG_HEAD, ProfileTag.jpegSegments(Profiles.srgbBytes())));
    return bytes.toByteArray();
  }

  /** The same without a profile, as it stands inside another file. */
  static void untagged(Picture picture, float quality, OutputStream out) {
    ImageWriter writer = writer("jpeg");
    encode(writer, quality(writer, quality), image8(picture), null, out, null);
  }

  private static ImageWriteParam quality(ImageWriter writer, float quality) {
    ImageWriteParam how = writer.getDefaultWriteParam();
    how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    how.setCompressionQuality(quality);
    return how;
  }

  private static void encode(
      ImageWriter writer,
      ImageWriteParam how,
      RenderedImage image,
      IIOMetadata metadata,
      OutputStream to,
      Path scratch) {
    try (ImageOutputStream out =
        scratch == null
            ? new MemoryCacheImageOutputStream(to)
            : new FileCacheImageOutputStream(to, scratch.toFile())) {
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, metadata), how);
    } catch (IOException e) {
      throw new PictureException("The picture could not be written.", e);
    } finally {
      writer.dispose();
    }
  }

  /** Colour at full size: without that, fine red and blue come out dull. */
  private static IIOMetadata fullColour(
      ImageWriter writer, ImageWriteParam how, RenderedImage image, PhotoData data) {
    IIOMetadata metadata = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), how);
    String form = metadata.getNativeMetadataFormatName();
    Element tree = (Element) metadata.getAsTree(form);
    NodeList components = tree.getElementsByTagName("componentSpec");
    for (int i = 0; i < components.getLength(); i++) {
      Element component = (Element) components.item(i);
      component.setAttribute("HsamplingFactor", "1");
      component.setAttribute("VsamplingFactor", "1");
    }
    long perInch = Math.round(data.pixelsPerInch());
    Element jfif = (Element) tree.getElementsByTagName("app0JFIF").item(0);
    if (perInch > 0 && jfif != null) {
      jfif.setAttribute("resUnits", "1");
      jfif.setAttribute("Xdensity", String.valueOf(perInch));
      jfif.setAttribute("Ydensity", String.valueOf(perInch));
    }
    try {
      metadata.setFromTree(form, tree);
    } catch (IOException e) {
      throw new IllegalStateException("the JDK's own metadata is not taken by it", e);
    }
    return metadata;
  }

  private static IIOMetadata tiffFields(
      ImageWriter writer,
      ImageWriteParam how,
      RenderedImage image,
      OutSpace space,
      PhotoData data) {
    IIOMetadata plain = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), how);
    try {
      TIFFDirectory directory = TIFFDirectory.createFromMetadata(plain);
      TIFFTag tag = BaselineTIFFTagSet.getInstance().getTag(BaselineTIFFTagSet.TAG_ICC_PROFILE);
      byte[] profile = space.profile();
      directory.addTIFFField(new TIFFField(tag, TIFFTag.TIFF_UNDEFINED, profile.length, profile));
      Pieces.tiff(data).forEach(directory::addTIFFField);
      return directory.getAsMetadata();
    } catch (IOException e) {
      throw new IllegalStateException("the JDK's own metadata is not taken by it", e);
    }
  }

  /** The JDK's own writer, so that output never depends on the order of plug-ins. */
  private static ImageWriter writer(String format) {
    Iterator<ImageWriter> writers = ImageIO.getImageWritersByFormatName(format);
    while (writers.hasNext()) {
      ImageWriter writer = writers.next();
      if (writer.getClass().getName().startsWith("com.sun.imageio")) {
        return writer;
      }
    }
    throw new PictureException("This Java installation cannot write %s files.".formatted(format));
  }

  private static BufferedImage image8(Picture picture) {
    BufferedImage image =
        new BufferedImage(picture.width(), picture.height(), BufferedImage.TYPE_3BYTE_BGR);
    byte[] to = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    float[][] bgr = {picture.b(), picture.g(), picture.r()};
    int n = picture.width();
    float[] work = new float[n];
    for (int y = 0; y < picture.height(); y++) {
      for (int c = 0; c < 3; c++) {
        Quantise.codes(bgr[c], y * n, n, null, work, to, 3 * y * n + c, 3);
      }
    }
    return image;
  }
}

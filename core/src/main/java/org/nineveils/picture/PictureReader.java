package org.nineveils.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.nineveils.refusal.Limits;
import org.nineveils.refusal.Outside;

/**
 * Reads JPEG, PNG and TIFF files (8 or 16 bits a channel) into upright sRGB pictures.
 *
 * <p>An embedded ICC profile is converted to sRGB, EXIF orientation is applied, transparency is
 * laid over white. The header is checked against {@link Limits} before a pixel is decoded.
 */
public final class PictureReader {
  private PictureReader() {}

  /**
   * Reads a picture file.
   *
   * @throws PictureException with a sentence naming the file and what is wrong with it
   */
  public static Picture read(Path file) {
    String name = String.valueOf(file.getFileName());
    try {
      if (!Files.isRegularFile(file)) {
        throw new PictureException("There is no file “%s”.".formatted(file));
      }
      if (Files.size(file) > Limits.PICTURE_BYTES) {
        throw tooManyBytes(name, Files.size(file));
      }
      return read(Files.readAllBytes(file), name);
    } catch (IOException e) {
      throw new PictureException("“%s” could not be read from the disk.".formatted(name), e);
    }
  }

  /**
   * Reads a picture from the bytes of a file.
   *
   * @param bytes the whole file
   * @param name how to call it in messages
   * @throws PictureException with a sentence naming the file and what is wrong with it
   */
  public static Picture read(byte[] bytes, String name) {
    if (bytes.length > Limits.PICTURE_BYTES) {
      throw tooManyBytes(name, bytes.length);
    }
    return Outside.read(
        () -> readWithin(bytes, name), PictureException.class, fault -> damaged(name, fault));
  }

  /**
   * How many pixels a file says that it holds, before any is decoded.
   *
   * @throws PictureException with a sentence if that is more than is taken, or it is no picture
   */
  public static long pixels(byte[] bytes, String name) {
    return Outside.read(
        () -> {
          try (ImageInputStream in =
              ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            ImageReader reader = readerFor(in, name);
            try {
              reader.setInput(in, false, true);
              checkSize(reader.getWidth(0), reader.getHeight(0), name);
              return (long) reader.getWidth(0) * reader.getHeight(0);
            } finally {
              reader.dispose();
            }
          } catch (IOException e) {
            throw damaged(name, e);
          }
        },
        PictureException.class,
        fault -> damaged(name, fault));
  }

  private static Picture readWithin(byte[] bytes, String name) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      ImageReader reader = readerFor(in, name);
      try {
        reader.setInput(in, false, false);
        checkSize(reader.getWidth(0), reader.getHeight(0), name);
        return Orientation.upright(decode(reader, bytes, name), orientation(bytes));
      } finally {
        reader.dispose();
      }
    } catch (IOException e) {
      throw damaged(name, e);
    }
  }

  private static ImageReader readerFor(ImageInputStream in, String name) throws IOException {
    Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
    while (readers.hasNext()) {
      ImageReader reader = readers.next();
      String format = reader.getFormatName().toLowerCase(Locale.ROOT);
      if (format.equals("jpeg") || format.equals("png") || format.startsWith("tif")) {
        return reader;
      }
    }
    throw new PictureException(
        "“%s” is not a JPEG, PNG or TIFF picture, whatever its name says.".formatted(name));
  }

  private static Picture decode(ImageReader reader, byte[] bytes, String name) throws IOException {
    String[] warning = new String[1];
    reader.addIIOReadWarningListener((source, text) -> warning[0] = text);
    BufferedImage image = reader.read(0);
    String said = warning[0] == null ? "" : warning[0].toLowerCase(Locale.ROOT);
    if (said.contains("premature") || said.contains("truncated") || said.contains("corrupt")) {
      throw damaged(name, null);
    }
    boolean png = reader.getFormatName().equalsIgnoreCase("png");
    return Samples.toSrgb(image, png ? Profiles.ofPng(bytes) : null, name);
  }

  private static void checkSize(int width, int height, String name) {
    if (width > Limits.PICTURE_SIDE
        || height > Limits.PICTURE_SIDE
        || (long) width * height > Limits.PICTURE_PIXELS) {
      throw new PictureException(
          "“%s” says it is %d × %d pixels; at most %d megapixels and %d pixels a side are taken."
              .formatted(
                  name, width, height, Limits.PICTURE_PIXELS / 1_000_000, Limits.PICTURE_SIDE));
    }
  }

  private static int orientation(byte[] bytes) {
    try {
      Metadata metadata = ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
      ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
      return exif != null && exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION)
          ? exif.getInt(ExifIFD0Directory.TAG_ORIENTATION)
          : 1;
    } catch (ImageProcessingException | MetadataException | IOException | RuntimeException e) {
      return 1; // damaged metadata never loses a picture that decodes
    }
  }

  private static PictureException damaged(String name, Throwable cause) {
    return new PictureException(
        "“%s” is damaged or cut short: its pixels cannot be read to the end.".formatted(name),
        cause);
  }

  private static PictureException tooManyBytes(String name, long bytes) {
    return new PictureException(
        "“%s” has %d MB; at most %d MB are taken."
            .formatted(name, bytes >> 20, Limits.PICTURE_BYTES >> 20));
  }
}

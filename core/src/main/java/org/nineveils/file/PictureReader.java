package org.nineveils.file;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.nineveils.file.SampleReader.Decoded;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.InputLimits;
import org.nineveils.refusal.Outside;

/**
 * Reads JPEG, PNG, TIFF and WebP files into upright sRGB pictures, integers of up to 16 bits and
 * floats by their own depth.
 *
 * <p>An embedded ICC profile is converted to sRGB, as is a space that a PNG or a camera names by
 * numbers ({@link NamedSpace}). EXIF orientation is applied, transparency is laid over white. The
 * header is checked against {@link InputLimits} before a pixel is decoded; of a PNG nothing is
 * unpacked but its pixels and its profile.
 */
public final class PictureReader {
  /** Media types of the files that are read. */
  public static final List<String> MEDIA_TYPES =
      List.of("image/jpeg", "image/png", "image/tiff", "image/webp");

  /** Endings of camera raw files that are developed, without dots. */
  public static final List<String> RAW_ENDINGS = RawMark.ENDINGS;

  private static final Set<String> FORMATS = Set.of("jpeg", "png", "webp");

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
      checkBytes(Files.size(file), name);
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
    checkBytes(bytes.length, name);
    return Outside.read(
        () -> readWithin(bytes, name), PictureException.class, fault -> damaged(name, fault));
  }

  /**
   * Refuses a file by its size alone.
   *
   * @throws PictureException with a sentence if it is larger than what is taken
   */
  public static void checkBytes(long bytes, String name) {
    if (bytes > InputLimits.PICTURE_BYTES) {
      throw tooManyBytes(name, bytes);
    }
  }

  /** Whether a file is called as pictures are that are read: JPEG, PNG, TIFF, WebP, raw. */
  public static boolean isNamed(String fileName) {
    return fileName.matches("(?i).*\\.(jpe?g|png|tiff?|webp)") || RawMark.isNamed(fileName);
  }

  /**
   * How many pixels a file says that it holds, before any is decoded.
   *
   * @throws PictureException with a sentence if that is more than is taken, or it is no picture
   */
  public static long pixels(byte[] bytes, String name) {
    return pixels(new ByteArrayInputStream(bytes), bytes.length, name);
  }

  /**
   * The same, of a file of which no more is read than its head.
   *
   * @param length of the file, bytes
   */
  public static long pixels(InputStream file, long length, String name) {
    if (RawMark.isNamed(name)) {
      return Math.min(InputLimits.PICTURE_PIXELS, length); // a byte a pixel is as small as they get
    }
    return Outside.read(
        () -> {
          try (ImageInputStream in = ImageIO.createImageInputStream(file)) {
            checkClaims(in, length, name);
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

  /**
   * How much of each pixel of a file is there, as a grey picture.
   *
   * @return empty where all of it is
   * @throws PictureException as {@link #read(byte[], String)}
   */
  public static Optional<Picture> cover(byte[] bytes, String name) {
    if (!PngChunks.isPng(bytes)) {
      return Optional.empty();
    }
    CameraTags tags = CameraTags.of(bytes);
    Decoded decoded =
        Outside.read(
            () -> decoded(bytes, tags, name),
            PictureException.class,
            fault -> damaged(name, fault));
    if (decoded.alpha() == null) {
      return Optional.empty();
    }
    Picture p = decoded.colours();
    float[] a = decoded.alpha();
    return Optional.of(
        Orientation.upright(new Picture(p.width(), p.height(), a, a, a), tags.orientation()));
  }

  /** The profile that a file carries; empty for none, or where it cannot be read. */
  static Optional<ICC_Profile> profile(byte[] bytes) {
    if (PngChunks.isPng(bytes)) {
      return Optional.ofNullable(Profiles.ofPng(bytes));
    }
    if (RawMark.isRaw(bytes)) {
      return Optional.empty();
    }
    if (CameraTags.isJpeg(bytes)) {
      return Optional.ofNullable(Profiles.ofJpeg(bytes));
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      ImageReader reader = readerFor(in, "the photo");
      try {
        reader.setInput(in, false, false);
        ColorSpace space = reader.getImageTypes(0).next().getColorModel().getColorSpace();
        return Optional.ofNullable(SampleReader.profileOf(space));
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      return Optional.empty();
    }
  }

  private static Picture readWithin(byte[] bytes, String name) {
    if (RawMark.isRaw(bytes)) {
      return RawDeveloper.develop(bytes, name);
    }
    CameraTags tags = CameraTags.of(bytes);
    Decoded decoded = decoded(bytes, tags, name);
    if (decoded.alpha() != null) {
      overWhite(decoded.colours(), decoded.alpha());
    }
    return Orientation.upright(decoded.colours(), tags.orientation());
  }

  private static Decoded decoded(byte[] bytes, CameraTags tags, String name) {
    if (tags.otherInks()) {
      throw new PictureException(
          "“%s” holds inks other than cyan, magenta, yellow and black.".formatted(name));
    }
    byte[] pixels = PngChunks.isPng(bytes) ? PngChunks.pixels(bytes) : bytes;
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(pixels))) {
      checkClaims(in, pixels.length, name);
      ImageReader reader = readerFor(in, name);
      try {
        reader.setInput(in, false, false);
        checkSize(reader.getWidth(0), reader.getHeight(0), name);
        return decode(reader, bytes, tags, name);
      } finally {
        reader.dispose();
      }
    } catch (IOException e) {
      throw damaged(name, e);
    }
  }

  private static void checkClaims(ImageInputStream in, long length, String name)
      throws IOException {
    if (TiffClaims.areFalse(in, length)) {
      throw new PictureException(
          "“%s” is damaged: what it says of itself is larger than the file.".formatted(name));
    }
  }

  private static void overWhite(Picture p, float[] alpha) {
    for (float[] plane : new float[][] {p.r(), p.g(), p.b()}) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = 1 + (plane[i] - 1) * alpha[i];
      }
    }
  }

  private static ImageReader readerFor(ImageInputStream in, String name) throws IOException {
    Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
    while (readers.hasNext()) {
      ImageReader reader = readers.next();
      String format = reader.getFormatName().toLowerCase(Locale.ROOT);
      if (FORMATS.contains(format) || format.startsWith("tif")) {
        return reader;
      }
    }
    throw new PictureException(
        "“%s” is not a JPEG, PNG, TIFF or WebP picture, whatever its name says.".formatted(name));
  }

  private static Decoded decode(ImageReader reader, byte[] bytes, CameraTags tags, String name)
      throws IOException {
    String[] warning = new String[1];
    reader.addIIOReadWarningListener((source, text) -> warning[0] = text);
    BufferedImage image = reader.read(0);
    String said = warning[0] == null ? "" : warning[0].toLowerCase(Locale.ROOT);
    if (said.contains("premature") || said.contains("truncated") || said.contains("corrupt")) {
      throw damaged(name, null);
    }
    if (!PngChunks.isPng(bytes)) {
      return SampleReader.toSrgb(image, tags, null, tags.space(), name);
    }
    ICC_Profile profile = Profiles.ofPng(bytes);
    NamedSpace named = NamedSpace.ofPng(bytes, profile != null, name);
    return SampleReader.toSrgb(image, tags, profile, named, name);
  }

  static void checkSize(int width, int height, String name) {
    if (width > InputLimits.PICTURE_SIDE
        || height > InputLimits.PICTURE_SIDE
        || (long) width * height > InputLimits.PICTURE_PIXELS) {
      throw new PictureException(
          String.format(
              Locale.ROOT,
              "“%s” says it is %d × %d pixels; at most %d megapixels and %d pixels a side are taken.",
              name,
              width,
              height,
              InputLimits.PICTURE_PIXELS / 1_000_000,
              InputLimits.PICTURE_SIDE));
    }
  }

  private static PictureException damaged(String name, Throwable cause) {
    return new PictureException(
        "“%s” is damaged or cut short: its pixels cannot be read to the end.".formatted(name),
        cause);
  }

  private static PictureException tooManyBytes(String name, long bytes) {
    return new PictureException(
        String.format(
            Locale.ROOT,
            "“%s” has %d MB; at most %d MB are taken.",
            name,
            bytes >> 20,
            InputLimits.PICTURE_BYTES >> 20));
  }
}

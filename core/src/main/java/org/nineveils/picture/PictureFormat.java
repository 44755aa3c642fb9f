package org.nineveils.picture;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/** The file formats that results are written in. */
public enum PictureFormat {
  /** JPEG, quality 0.95, colour at full size (4:4:4), dithered, with an sRGB profile. */
  JPEG("jpg", "image/jpeg"),
  /** PNG with 8 bits a channel, dithered, and an sRGB profile. */
  PNG("png", "image/png"),
  /** TIFF with 16 bits a channel and an sRGB profile. */
  TIFF("tif", "image/tiff");

  private final String ending;
  private final String mediaType;

  PictureFormat(String ending, String mediaType) {
    this.ending = ending;
    this.mediaType = mediaType;
  }

  /** File ending without the dot. */
  public String ending() {
    return ending;
  }

  /** What a file name of this format ends with. */
  public String suffix() {
    return "." + ending;
  }

  /**
   * The format of a file that browsers show as well, by its first bytes.
   *
   * @param name how to call it in messages
   * @throws PictureException if it is neither a JPEG nor a PNG
   */
  public static PictureFormat ofBytes(byte[] file, String name) {
    if (file.length > 3 && (file[0] & 255) == 0xff && (file[1] & 255) == 0xd8) {
      return JPEG;
    }
    if (file.length > 8 && (file[0] & 255) == 0x89 && file[1] == 'P' && file[2] == 'N') {
      return PNG;
    }
    throw new PictureException("“%s” is neither a JPEG nor a PNG picture.".formatted(name));
  }

  /** Internet media type. */
  public String mediaType() {
    return mediaType;
  }

  /**
   * The format that a file name asks for by its ending.
   *
   * @throws PictureException if the ending is none of ours
   */
  public static PictureFormat ofName(String fileName) {
    String ending = fileName.substring(fileName.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    return switch (ending) {
      case "jpg", "jpeg" -> JPEG;
      case "png" -> PNG;
      case "tif", "tiff" -> TIFF;
      default ->
          throw new PictureException(
              "“%s” does not end in one of %s, so the format to write is not known."
                  .formatted(
                      fileName,
                      Arrays.stream(values())
                          .map(f -> "." + f.ending)
                          .collect(Collectors.joining(", "))));
    };
  }
}

package org.nineveils.picture;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/** The file formats that results are written in. */
public enum PictureFormat {
  /** JPEG, quality 0.95, with an sRGB profile. */
  JPEG("jpg", "image/jpeg"),
  /** PNG with 8 bits a channel and an sRGB profile. */
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

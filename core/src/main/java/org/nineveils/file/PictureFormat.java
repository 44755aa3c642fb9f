package org.nineveils.file;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;
import org.nineveils.refusal.Ids;

/** The file formats that results are written in, each with an sRGB profile. */
public enum PictureFormat {
  /** JPEG, colour at full size (4:4:4), dithered, of a quality that is chosen. */
  JPEG("jpg", "jpg", "image/jpeg", "JPEG"),
  /** PNG with 8 bits a channel, dithered. */
  PNG("png", "png", "image/png", "PNG, 8 bits"),
  /** PNG with 16 bits a channel. */
  PNG_16("png16", "png", "image/png", "PNG, 16 bits"),
  /** TIFF with 16 bits a channel. */
  TIFF("tif", "tif", "image/tiff", "TIFF, 16 bits");

  /** Quality of a JPEG where none is chosen, per cent. */
  public static final int QUALITY = 95;

  /** Lowest quality that can be chosen. */
  public static final int LEAST_QUALITY = 50;

  private final String id;
  private final String ending;
  private final String mediaType;
  private final String words;

  PictureFormat(String id, String ending, String mediaType, String words) {
    this.id = id;
    this.ending = ending;
    this.mediaType = mediaType;
    this.words = words;
  }

  /** Name in requests and options. */
  public String id() {
    return id;
  }

  /** What it is, for the user. */
  public String words() {
    return words;
  }

  /**
   * The format of that name.
   *
   * @throws PictureException with a sentence if there is none
   */
  public static PictureFormat ofId(String id) {
    return Ids.find(values(), PictureFormat::id, id)
        .orElseThrow(
            () ->
                new PictureException(
                    "Results are written as %s, not as “%s”."
                        .formatted(
                            Arrays.stream(values())
                                .map(PictureFormat::words)
                                .collect(Collectors.joining("; ")),
                            id)));
  }

  /**
   * A quality that a JPEG may have.
   *
   * @throws PictureException with a sentence if it is out of range
   */
  public static int checkQuality(int quality) {
    if (quality < LEAST_QUALITY || quality > 100) {
      throw new PictureException(
          String.format(
              Locale.ROOT,
              "The quality of a JPEG lies between %d and 100, but was %d.",
              LEAST_QUALITY,
              quality));
    }
    return quality;
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
    if (PngChunks.isPng(file)) {
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
                          .distinct()
                          .collect(Collectors.joining(", "))));
    };
  }
}

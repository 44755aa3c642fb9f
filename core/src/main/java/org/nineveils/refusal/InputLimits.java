package org.nineveils.refusal;

/**
 * What anything that comes from outside may be at the most: the one table of these bounds. Whoever
 * reads a file looks here before memory is taken for it.
 *
 * <table>
 * <caption>Bounds</caption>
 * <tr><th>what</th><th>bounds</th></tr>
 * <tr><td>pictures</td><td>160 MB, 64 megapixels, 20 000 pixels a side</td></tr>
 * <tr><td>a photo's own data</td><td>1 MB of fields, directories 3 deep</td></tr>
 * <tr><td>releases</td><td>256 MB, 4 000 entries of 8 MB, 512 MB once unpacked, pictures of 400 megapixels, previews of 4 megapixels each</td></tr>
 * <tr><td>colour tables</td><td>16 MB of text, 65 entries an axis</td></tr>
 * <tr><td>JSON</td><td>32 million characters, nested 20 deep</td></tr>
 * </table>
 */
public final class InputLimits {
  /** Largest picture taken, in pixels: a 60-megapixel frame fits, a header that lies does not. */
  public static final long PICTURE_PIXELS = 64_000_000L;

  /** Longest side of a picture taken, in pixels. */
  public static final int PICTURE_SIDE = 20_000;

  /** Largest picture file taken, in bytes. */
  public static final long PICTURE_BYTES = 160L * 1024 * 1024;

  /** Most bytes of a photo's own data (Exif) that are kept, all its fields together. */
  public static final int TAG_BYTES = 1024 * 1024;

  /** Deepest that directories of a photo's own data hang on one another. */
  public static final int TAG_NESTING = 3;

  /** Largest release file taken, in bytes. */
  public static final long RELEASE_BYTES = 256L * 1024 * 1024;

  /** Most entries of a release. */
  public static final int RELEASE_ENTRIES = 4000;

  /** Largest single entry of a release once unpacked, in bytes; also a placed picture. */
  public static final int RELEASE_ENTRY_BYTES = 8 * 1024 * 1024;

  /** Most bytes of all entries of a release once unpacked. */
  public static final long RELEASE_UNPACKED = 512L * 1024 * 1024;

  /** Most pixels of all pictures that a release lays over photos. */
  public static final long RELEASE_PIXELS = 400_000_000L;

  /** Most pixels of a picture that shows an effect, or stands on the cover. */
  public static final long PREVIEW_PIXELS = 4_000_000L;

  /** Largest text of a colour table, in bytes. */
  public static final int TABLE_BYTES = 16 * 1024 * 1024;

  /** Most entries of a colour table along an axis. */
  public static final int TABLE_SIDE = 65;

  /** Longest JSON document, in characters. */
  public static final int JSON_CHARACTERS = 32 * 1024 * 1024;

  /** Deepest nesting of JSON. */
  public static final int JSON_NESTING = 20;

  /** Deepest nesting of XML: of a photo's own data, and of colour tables. */
  public static final int XML_NESTING = 100;

  private InputLimits() {}
}

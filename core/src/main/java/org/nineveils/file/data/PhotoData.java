package org.nineveils.file.data;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.Set;

/**
 * A photo's own data: Exif (date, camera, lens, exposure, copyright, place), XMP and IPTC
 * (captions, rights), resolution. Sources: Exif 2.32 (CIPA DC-008), ISO 16684-1 (XMP), IPTC-IIM
 * 4.2, TIFF 6.0.
 */
public final class PhotoData {
  /** Nothing. */
  public static final PhotoData NONE = new PhotoData(null, null, null, null);

  private static final int BITS = 0x0102;
  private static final int DESCRIPTION = 0x010E;
  private static final int MAKE = 0x010F;
  private static final int MODEL = 0x0110;
  private static final int ORIENTATION = 0x0112;
  private static final int X_RESOLUTION = 0x011A;
  private static final int Y_RESOLUTION = 0x011B;
  private static final int RESOLUTION_UNIT = 0x0128;
  private static final int SOFTWARE = 0x0131;
  private static final int DATE = 0x0132;
  private static final int ORIGINAL_DATE = 0x9003;
  private static final int ARTIST = 0x013B;
  private static final int COPYRIGHT = 0x8298;
  private static final int INK_SET = 332;
  private static final int EXTRA_SAMPLES = 338;
  private static final int COLOUR_SPACE = 0xA001;
  private static final int UNCALIBRATED = 0xFFFF; // Exif 2.32, 4.6.6.B: neither is sRGB
  private static final int WIDTH = 0xA002;
  private static final int HEIGHT = 0xA003;

  /** Of the first directory: what says something of the photo, not how its file is laid out. */
  private static final Set<Integer> OF_THE_PHOTO =
      Set.of(
          DESCRIPTION,
          MAKE,
          MODEL,
          X_RESOLUTION,
          Y_RESOLUTION,
          RESOLUTION_UNIT,
          DATE,
          ARTIST,
          COPYRIGHT);

  /** Notes that stand further back, as in a TIFF, do not fit the segment of a JPEG. */
  private static final int LAST_NOTE = 48_000;

  /** Bytes kept for the small picture inside; Exif 2.32, 4.5.7, has it no larger than 64 kB. */
  public static final int SMALL_ROOM = 12_000;

  /**
   * Names and numbers that tell a person or a thing: owner, body, lens, picture, and the notes of
   * the camera's maker, which hold them too.
   */
  private static final Set<Integer> NUMBERS =
      Set.of(0xA430, 0xA431, 0xA435, 0xA420, Directory.MAKER_NOTE);

  final Directory exif;
  final byte[] xmp;
  final byte[] captions;
  private final byte[] small;
  private final boolean profiled;

  /**
   * Data as found.
   *
   * @param exif null for none
   * @param xmp packet, null for none
   * @param captions the JPEG segment that holds IPTC captions as it stands, null for none
   * @param small picture inside, a JPEG; empty where there is room for one, null for none
   * @param profiled whether the file carries a profile of its colours
   */
  PhotoData(Directory exif, byte[] xmp, byte[] captions, byte[] small, boolean profiled) {
    this.small = small;
    this.profiled = profiled;
    this.exif = exif;
    this.xmp = xmp;
    this.captions = captions;
  }

  /** Data of a result, whose profile its writer gives it. */
  PhotoData(Directory exif, byte[] xmp, byte[] captions, byte[] small) {
    this(exif, xmp, captions, small, false);
  }

  /** What a JPEG, PNG, TIFF or WebP file holds; never refuses, what cannot be read is left out. */
  public static PhotoData of(byte[] file) {
    try {
      return Finding.in(file);
    } catch (RuntimeException e) {
      return NONE;
    }
  }

  public boolean isEmpty() {
    return exif == null && xmp == null && captions == null;
  }

  /**
   * The same, true of a result: upright, of that size and colour space, with room for a small
   * picture of the result where the photo held one of itself; our program named.
   */
  public PhotoData trueOf(int width, int height, boolean srgb) {
    if (isEmpty()) {
      return this;
    }
    Directory first = exif == null ? Directory.blank() : exif.only(OF_THE_PHOTO);
    first.putShort(ORIENTATION, 1);
    first.putText(SOFTWARE, "Nine Veils");
    Directory more = first.belowOf(Directory.EXIF);
    Directory.Field note = more.fields().get(Directory.MAKER_NOTE);
    if (note != null && note.at() + (long) note.bytes().length > LAST_NOTE) {
      more.fields().remove(Directory.MAKER_NOTE);
    }
    more.putShort(COLOUR_SPACE, srgb ? 1 : UNCALIBRATED);
    more.putLong(WIDTH, width);
    more.putLong(HEIGHT, height);
    byte[] room = small == null ? null : new byte[0];
    return new PhotoData(first, xmp == null ? null : upright(xmp), captions, room);
  }

  /** Whether there is room for a small picture. */
  public boolean wantsSmall() {
    return small != null && exif != null;
  }

  /**
   * The same with a small picture.
   *
   * @param jpeg at most {@link #SMALL_ROOM} bytes
   */
  public PhotoData withSmall(byte[] jpeg) {
    return new PhotoData(exif, xmp, captions, jpeg);
  }

  /** The same without the place where it was taken and without numbers of things. */
  public PhotoData discreet() {
    Directory first = exif == null ? null : exif.only(exif.fields().keySet());
    if (first != null) {
      first.below().remove(Directory.GPS);
      first.belowOf(Directory.EXIF).fields().keySet().removeAll(NUMBERS);
    }
    byte[] words = xmp == null ? null : discreet(xmp);
    return new PhotoData(first, words, Captions.discreet(captions), small);
  }

  /** What cannot be read says nothing of orientation to those who read it either. */
  private static byte[] upright(byte[] xmp) {
    return XmpPacket.read(xmp)
        .map(
            packet -> {
              packet.put(
                  (space, name) -> space.equals(XmpPacket.TIFF) && name.equals("Orientation"), "1");
              return packet.bytes();
            })
        .orElse(xmp);
  }

  /** Null where it cannot be read: then nobody knows what it tells. */
  private static byte[] discreet(byte[] xmp) {
    return XmpPacket.read(xmp)
        .map(
            packet -> {
              packet.without(Telling::has);
              return packet.bytes();
            })
        .orElse(null);
  }

  /** Exif as a block without a small picture, as it stands in PNG files; null for none. */
  byte[] block() {
    return exif == null ? null : Block.of(exif, null, 0);
  }

  /** Exif as a block as it stands in a JPEG, with the small picture or its room; null for none. */
  byte[] blockWithSmall() {
    return wantsSmall() ? Block.of(exif, small, SMALL_ROOM) : block();
  }

  /** How the picture is to be turned to be upright, 1…8 (Exif 2.32, 4.6.5.A); 1 where none says. */
  public int orientation() {
    int said = number(exif, ORIENTATION);
    return said >= 1 && said <= 8 ? said : 1;
  }

  /**
   * Bits of the first sample of a pixel where a TIFF says so (TIFF 6.0, section 8); 0 otherwise.
   */
  public int bits() {
    return Math.max(0, number(exif, BITS));
  }

  /** Whether a TIFF's first extra sample is premultiplied alpha (TIFF 6.0, section 18). */
  public boolean isPremultiplied() {
    return number(exif, EXTRA_SAMPLES) == 1;
  }

  /** Whether a TIFF's inks are others than those of CMYK (TIFF 6.0, section 16). */
  public boolean hasOtherInks() {
    return number(exif, INK_SET) == 2;
  }

  /** Whether a JPEG or TIFF carries a profile of its colours. */
  public boolean hasProfile() {
    return profiled;
  }

  /**
   * The colour space that a camera names by a number (Exif 2.32, 4.6.5.B); −1 where it does not.
   */
  public int colourSpace() {
    return number(below(exif, Directory.EXIF), COLOUR_SPACE);
  }

  /**
   * The rule of interoperability that a camera names (Exif 2.32, 4.6.7); empty where it does not.
   */
  public String interoperability() {
    Directory d = below(below(exif, Directory.EXIF), Directory.INTEROPERABILITY);
    Directory.Field f = d == null ? null : d.fields().get(1);
    return f == null ? "" : new String(f.bytes(), StandardCharsets.US_ASCII);
  }

  /** The day on which it was taken (Exif 2.32, 4.6.5.F and A), else empty. */
  public Optional<LocalDate> taken() {
    return day(below(exif, Directory.EXIF), ORIGINAL_DATE).or(() -> day(exif, DATE));
  }

  /** Of a text such as “2026:05:09 10:11:12”; empty for blanks, zeros and days that are none. */
  private static Optional<LocalDate> day(Directory in, int tag) {
    Directory.Field f = in == null ? null : in.fields().get(tag);
    if (f == null || f.bytes().length < 10) {
      return Optional.empty();
    }
    String day = new String(f.bytes(), 0, 10, StandardCharsets.US_ASCII).replace(':', '-');
    try {
      return Optional.of(LocalDate.parse(day)).filter(d -> d.getYear() > 0);
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  private static Directory below(Directory of, int tag) {
    return of == null ? null : of.below().get(tag);
  }

  /** The first value of a field of whole numbers; −1 where there is none. */
  private static int number(Directory in, int tag) {
    Directory.Field f = in == null ? null : in.fields().get(tag);
    if (f == null || f.count() < 1) {
      return -1;
    }
    ByteBuffer b = ByteBuffer.wrap(f.bytes()).order(in.order());
    return switch (f.type()) {
      case 1 -> b.get(0) & 0xff;
      case 3 -> b.getShort(0) & 0xffff;
      case 4 -> b.getInt(0);
      default -> -1;
    };
  }

  /** Pixels per inch, 0 where that is not known. */
  public double pixelsPerInch() {
    Directory.Field f = exif == null ? null : exif.fields().get(X_RESOLUTION);
    if (f == null || f.type() != 5 || f.bytes().length < 8) {
      return 0;
    }
    ByteBuffer b = ByteBuffer.wrap(f.bytes()).order(exif.order());
    double value = (b.getInt(0) & 0xffffffffL) / (double) (b.getInt(4) & 0xffffffffL);
    Directory.Field unit = exif.fields().get(RESOLUTION_UNIT);
    boolean centimetres =
        unit != null && ByteBuffer.wrap(unit.bytes()).order(exif.order()).getShort(0) == 3;
    double inches = centimetres ? value * 2.54 : value;
    return inches >= 1 && inches <= 30_000 ? inches : 0;
  }
}

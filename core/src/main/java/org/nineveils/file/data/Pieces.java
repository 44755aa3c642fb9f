package org.nineveils.file.data;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.zip.CRC32;
import javax.imageio.plugins.tiff.ExifGPSTagSet;
import javax.imageio.plugins.tiff.ExifParentTIFFTagSet;
import javax.imageio.plugins.tiff.ExifTIFFTagSet;
import javax.imageio.plugins.tiff.TIFFDirectory;
import javax.imageio.plugins.tiff.TIFFField;
import javax.imageio.plugins.tiff.TIFFTag;
import javax.imageio.plugins.tiff.TIFFTagSet;

/** A photo's own data as pieces of the files that results are. */
public final class Pieces {
  private static final int LONGEST_SEGMENT = 65_533;
  private static final int XMP = 700;

  private Pieces() {}

  /** Segments for a JPEG; one that is too long for a segment is left out. */
  public static byte[] jpeg(PhotoData data) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    byte[] exif = data.blockWithSmall();
    boolean fits = exif == null || exif.length + Finding.EXIF.length <= LONGEST_SEGMENT;
    segment(out, 0xe1, Finding.EXIF, fits ? exif : data.block());
    segment(out, 0xe1, Finding.XMP, data.xmp);
    segment(out, 0xed, new byte[0], data.captions);
    return out.toByteArray();
  }

  private static void segment(ByteArrayOutputStream out, int marker, byte[] head, byte[] body) {
    if (body == null || head.length + body.length > LONGEST_SEGMENT) {
      return;
    }
    int length = 2 + head.length + body.length;
    out.write(0xff);
    out.write(marker);
    out.write(length >> 8);
    out.write(length);
    out.writeBytes(head);
    out.writeBytes(body);
  }

  /** Chunks for a PNG (third edition): eXIf, iTXt, pHYs. */
  public static byte[] png(PhotoData data) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    double perInch = data.pixelsPerInch();
    if (perInch > 0) {
      int perMetre = (int) Math.round(perInch / 0.0254);
      chunk(
          out,
          "pHYs",
          ByteBuffer.allocate(9).putInt(perMetre).putInt(perMetre).put((byte) 1).array());
    }
    if (data.exif != null) {
      chunk(out, "eXIf", data.block());
    }
    byte[] xmp = Captions.intoXmp(data.captions, data.xmp);
    if (xmp != null) {
      ByteArrayOutputStream body = new ByteArrayOutputStream();
      body.writeBytes(Finding.XMP_CHUNK);
      body.writeBytes(xmp);
      chunk(out, "iTXt", body.toByteArray());
    }
    return out.toByteArray();
  }

  private static void chunk(ByteArrayOutputStream out, String type, byte[] body) {
    byte[] name = type.getBytes(StandardCharsets.US_ASCII);
    CRC32 crc = new CRC32();
    crc.update(name);
    crc.update(body);
    out.writeBytes(ByteBuffer.allocate(4).putInt(body.length).array());
    out.writeBytes(name);
    out.writeBytes(body);
    out.writeBytes(ByteBuffer.allocate(4).putInt((int) crc.getValue()).array());
  }

  /** Fields for a TIFF. */
  public static List<TIFFField> tiff(PhotoData data) {
    List<TIFFField> out = new ArrayList<>();
    if (data.exif != null) {
      data.exif.fields().forEach((tag, f) -> field(data.exif, tag, f).ifPresent(out::add));
      below(data.exif, Directory.EXIF, ExifTIFFTagSet.getInstance(), out);
      below(data.exif, Directory.GPS, ExifGPSTagSet.getInstance(), out);
    }
    if (data.xmp != null) {
      TIFFTag tag = new TIFFTag("XMP", XMP, 1 << TIFFTag.TIFF_BYTE);
      out.add(new TIFFField(tag, TIFFTag.TIFF_BYTE, data.xmp.length, data.xmp));
    }
    byte[] sets = Captions.ofSegment(data.captions);
    if (sets != null) {
      TIFFTag tag = new TIFFTag("IPTC", Captions.TIFF_TAG, 1 << TIFFTag.TIFF_UNDEFINED);
      out.add(new TIFFField(tag, TIFFTag.TIFF_UNDEFINED, sets.length, sets));
    }
    return out;
  }

  private static void below(Directory first, int tag, TIFFTagSet set, List<TIFFField> out) {
    Directory d = first.below().get(tag);
    if (d == null || d.fields().isEmpty()) {
      return;
    }
    TIFFTag parent = ExifParentTIFFTagSet.getInstance().getTag(tag);
    TIFFDirectory made = new TIFFDirectory(new TIFFTagSet[] {set}, parent);
    d.fields()
        .forEach(
            (t, f) -> {
              if (t != Directory.MAKER_NOTE) { // the writer would move it: places in it would lie
                field(d, t, f).ifPresent(made::addTIFFField);
              }
            });
    out.add(new TIFFField(parent, TIFFTag.TIFF_LONG, 1L, made));
  }

  /** Empty where a damaged file gives a field that no writer takes. */
  private static Optional<TIFFField> field(Directory in, int number, Directory.Field f) {
    TIFFTag tag = new TIFFTag("field " + number, number, 1 << f.type());
    int count = f.type() == TIFFTag.TIFF_ASCII ? 1 : f.count(); // of texts, not of letters
    try {
      return Optional.of(new TIFFField(tag, f.type(), count, values(in, f)));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static Object values(Directory in, Directory.Field f) {
    ByteBuffer b = ByteBuffer.wrap(f.bytes()).order(in.order());
    int n = f.count();
    switch (f.type()) {
      case TIFFTag.TIFF_ASCII -> {
        String text = new String(f.bytes(), StandardCharsets.UTF_8);
        return new String[] {text.endsWith("\0") ? text : text + "\0"};
      }
      case TIFFTag.TIFF_SHORT -> {
        char[] v = new char[n];
        for (int i = 0; i < n; i++) {
          v[i] = b.getChar(2 * i);
        }
        return v;
      }
      case TIFFTag.TIFF_LONG -> {
        long[] v = new long[n];
        for (int i = 0; i < n; i++) {
          v[i] = b.getInt(4 * i) & 0xffffffffL;
        }
        return v;
      }
      case TIFFTag.TIFF_RATIONAL -> {
        long[][] v = new long[n][];
        for (int i = 0; i < n; i++) {
          v[i] = new long[] {b.getInt(8 * i) & 0xffffffffL, b.getInt(8 * i + 4) & 0xffffffffL};
        }
        return v;
      }
      case TIFFTag.TIFF_SSHORT -> {
        short[] v = new short[n];
        for (int i = 0; i < n; i++) {
          v[i] = b.getShort(2 * i);
        }
        return v;
      }
      case TIFFTag.TIFF_SLONG -> {
        int[] v = new int[n];
        for (int i = 0; i < n; i++) {
          v[i] = b.getInt(4 * i);
        }
        return v;
      }
      case TIFFTag.TIFF_SRATIONAL -> {
        int[][] v = new int[n][];
        for (int i = 0; i < n; i++) {
          v[i] = new int[] {b.getInt(8 * i), b.getInt(8 * i + 4)};
        }
        return v;
      }
      case TIFFTag.TIFF_FLOAT -> {
        float[] v = new float[n];
        for (int i = 0; i < n; i++) {
          v[i] = b.getFloat(4 * i);
        }
        return v;
      }
      case TIFFTag.TIFF_DOUBLE -> {
        double[] v = new double[n];
        for (int i = 0; i < n; i++) {
          v[i] = b.getDouble(8 * i);
        }
        return v;
      }
      default -> {
        return f.bytes(); // bytes, signed bytes, undefined
      }
    }
  }
}

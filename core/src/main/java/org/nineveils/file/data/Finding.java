package org.nineveils.file.data;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** Finds a photo's own data in files. */
final class Finding {
  static final byte[] EXIF = ascii("Exif\0\0");

  /** ISO 16684-3, 1.1.3: what a JPEG segment of XMP begins with. */
  static final byte[] XMP = ascii("http://ns.adobe.com/xap/1.0/\0");

  /** ISO 16684-3, 1.1.5: keyword of the PNG chunk of XMP, and what follows where it is plain. */
  static final byte[] XMP_CHUNK = ascii("XML:com.adobe.xmp\0\0\0\0\0");

  /** ICC.1:2022, B.4: what a JPEG segment of a profile begins with. */
  private static final byte[] PROFILE = ascii("ICC_PROFILE\0");

  private static final int TIFF_XMP = 700;
  private static final int MOST = 4 << 20;

  private Finding() {}

  private static byte[] ascii(String text) {
    return text.getBytes(StandardCharsets.US_ASCII);
  }

  static PhotoData in(byte[] file) {
    if (file.length > 4 && (file[0] & 0xff) == 0xff && (file[1] & 0xff) == 0xd8) {
      return jpeg(file);
    }
    if (file.length > 8 && (file[0] & 0xff) == 0x89 && file[1] == 'P') {
      return png(file);
    }
    if (file.length > 12 && begins(file, ascii("RIFF")) && file[8] == 'W' && file[9] == 'E') {
      return webp(file);
    }
    Directory first = Directory.read(file);
    if (first == null) {
      return PhotoData.NONE;
    }
    Directory.Field xmp = first.fields().get(TIFF_XMP);
    Directory.Field sets = first.fields().get(Captions.TIFF_TAG);
    byte[] captions = sets == null ? null : Captions.segment(sets.bytes());
    boolean profiled = first.fields().containsKey(Directory.PROFILE); // ICC.1:2022, B.5
    return new PhotoData(first, xmp == null ? null : xmp.bytes(), captions, null, profiled);
  }

  private static PhotoData jpeg(byte[] file) {
    Directory exif = null;
    byte[] xmp = null;
    byte[] captions = null;
    boolean small = false;
    boolean profiled = false;
    ByteBuffer in = ByteBuffer.wrap(file);
    int at = 2;
    while (at + 4 <= file.length && (file[at] & 0xff) == 0xff) {
      int marker = file[at + 1] & 0xff;
      if (marker == 0xda) {
        break; // the picture itself
      }
      int length = in.getShort(at + 2) & 0xffff;
      byte[] body = Arrays.copyOfRange(file, at + 4, Math.min(file.length, at + 2 + length));
      if (marker == 0xe1 && begins(body, EXIF)) {
        byte[] block = Arrays.copyOfRange(body, EXIF.length, body.length);
        exif = Directory.read(block);
        small = Directory.holdsSmall(block);
      } else if (marker == 0xe1 && begins(body, XMP)) {
        xmp = Arrays.copyOfRange(body, XMP.length, body.length);
      } else if (marker == 0xe2 && begins(body, PROFILE)) {
        profiled = true;
      } else if (marker == 0xed) {
        captions = body;
      }
      at += 2 + length;
    }
    return new PhotoData(exif, xmp, captions, small ? new byte[0] : null, profiled);
  }

  private static PhotoData png(byte[] file) {
    Directory exif = null;
    byte[] xmp = null;
    ByteBuffer in = ByteBuffer.wrap(file);
    int at = 8;
    while (at + 12 <= file.length) {
      int length = in.getInt(at);
      if (length < 0 || length > file.length - at - 12) {
        break;
      }
      String type = new String(file, at + 4, 4, StandardCharsets.US_ASCII);
      if (length <= MOST && type.equals("eXIf")) {
        exif = Directory.read(Arrays.copyOfRange(file, at + 8, at + 8 + length));
      } else if (length <= MOST && type.equals("iTXt")) {
        byte[] body = Arrays.copyOfRange(file, at + 8, at + 8 + length);
        xmp =
            begins(body, XMP_CHUNK) ? Arrays.copyOfRange(body, XMP_CHUNK.length, body.length) : xmp;
      }
      at += 12 + length;
    }
    return new PhotoData(exif, xmp, null, null);
  }

  /** Chunks of a RIFF file (WebP Container Specification): EXIF and XMP. */
  private static PhotoData webp(byte[] file) {
    Directory exif = null;
    byte[] xmp = null;
    ByteBuffer in = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
    int at = 12;
    while (at + 8 <= file.length) {
      int length = in.getInt(at + 4);
      if (length < 0 || length > file.length - at - 8) {
        break;
      }
      String type = new String(file, at, 4, StandardCharsets.US_ASCII);
      if (length <= MOST && (type.equals("EXIF") || type.equals("XMP "))) {
        byte[] body = Arrays.copyOfRange(file, at + 8, at + 8 + length);
        if (type.equals("XMP ")) {
          xmp = body;
        } else {
          int from = begins(body, EXIF) ? EXIF.length : 0;
          exif = Directory.read(Arrays.copyOfRange(body, from, body.length));
        }
      }
      at += 8 + length + length % 2;
    }
    return new PhotoData(exif, xmp, null, null);
  }

  private static boolean begins(byte[] body, byte[] with) {
    return body.length >= with.length && Arrays.equals(body, 0, with.length, with, 0, with.length);
  }
}

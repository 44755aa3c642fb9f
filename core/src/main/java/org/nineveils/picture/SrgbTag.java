package org.nineveils.picture;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * Puts the sRGB profile into finished JPEG and PNG files, which the JDK's writers leave untagged.
 */
final class SrgbTag {
  private static final byte[] JPEG_MARK = "ICC_PROFILE\0\1\1".getBytes(StandardCharsets.ISO_8859_1);
  private static final int PNG_HEAD = 8 + 25; // signature and IHDR chunk

  private SrgbTag() {}

  /**
   * A JPEG with the profile in an APP2 segment after the JFIF header (ICC.1:2022, Annex B.4: the
   * profile fits one segment, number 1 of 1).
   */
  static byte[] intoJpeg(byte[] jpeg) {
    byte[] profile = Profiles.srgbBytes();
    int jfif = (jpeg[3] & 0xff) == 0xe0 ? ByteBuffer.wrap(jpeg).getShort(4) + 2 : 0;
    int length = 2 + JPEG_MARK.length + profile.length;
    ByteBuffer segment = ByteBuffer.allocate(length + 2);
    segment.put((byte) 0xff).put((byte) 0xe2).putShort((short) length);
    segment.put(JPEG_MARK).put(profile);
    return splice(jpeg, 2 + jfif, segment.array());
  }

  /** A PNG with the profile in an iCCP chunk after the header (PNG, third edition, 11.3.2.3). */
  static byte[] intoPng(byte[] png) {
    byte[] packed = deflate(Profiles.srgbBytes());
    byte[] name = "iCCPsRGB\0\0".getBytes(StandardCharsets.ISO_8859_1);
    ByteBuffer chunk = ByteBuffer.allocate(4 + name.length + packed.length + 4);
    chunk.putInt(name.length - 4 + packed.length).put(name).put(packed);
    CRC32 crc = new CRC32();
    crc.update(chunk.array(), 4, name.length + packed.length);
    chunk.putInt((int) crc.getValue());
    return splice(png, PNG_HEAD, chunk.array());
  }

  private static byte[] deflate(byte[] bytes) {
    Deflater deflater = new Deflater(Deflater.BEST_COMPRESSION);
    deflater.setInput(bytes);
    deflater.finish();
    byte[] buffer = new byte[bytes.length + 64];
    int n = deflater.deflate(buffer);
    deflater.end();
    return java.util.Arrays.copyOf(buffer, n);
  }

  private static byte[] splice(byte[] file, int at, byte[] piece) {
    ByteArrayOutputStream out = new ByteArrayOutputStream(file.length + piece.length);
    out.write(file, 0, at);
    out.write(piece, 0, piece.length);
    out.write(file, at, file.length - at);
    return out.toByteArray();
  }
}

package org.nineveils.file;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/**
 * Puts the sRGB profile into finished JPEG and PNG files, which the JDK's writers leave untagged.
 */
final class SrgbTag {
  private static final byte[] JPEG_MARK = "ICC_PROFILE\0\1\1".getBytes(StandardCharsets.ISO_8859_1);

  /** Bytes of a PNG before the profile: signature and IHDR chunk. */
  static final int PNG_HEAD = 8 + 25;

  /**
   * Bytes of a JPEG before the profile: start of image and the JFIF segment of the JDK's writer.
   */
  static final int JPEG_HEAD = 2 + 18;

  private SrgbTag() {}

  /**
   * The profile as an APP2 segment (ICC.1:2022, Annex B.4: it fits one segment, number 1 of 1), to
   * stand after the JFIF header.
   */
  static byte[] jpegSegment() {
    byte[] profile = Profiles.srgbBytes();
    int length = 2 + JPEG_MARK.length + profile.length;
    ByteBuffer segment = ByteBuffer.allocate(length + 2);
    segment.put((byte) 0xff).put((byte) 0xe2).putShort((short) length);
    segment.put(JPEG_MARK).put(profile);
    return segment.array();
  }

  /** The profile as an iCCP chunk (PNG, third edition, 11.3.2.3), to stand after the header. */
  static byte[] pngChunk() {
    byte[] packed = deflate(Profiles.srgbBytes());
    byte[] name = "iCCPsRGB\0\0".getBytes(StandardCharsets.ISO_8859_1);
    ByteBuffer chunk = ByteBuffer.allocate(4 + name.length + packed.length + 4);
    chunk.putInt(name.length - 4 + packed.length).put(name).put(packed);
    CRC32 crc = new CRC32();
    crc.update(chunk.array(), 4, name.length + packed.length);
    chunk.putInt((int) crc.getValue());
    return chunk.array();
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
}

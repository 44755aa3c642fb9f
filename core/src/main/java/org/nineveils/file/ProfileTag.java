package org.nineveils.file;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/** Puts a profile into finished JPEG and PNG files, which the JDK's writers leave untagged. */
final class ProfileTag {
  private static final byte[] JPEG_MARK = "ICC_PROFILE\0".getBytes(StandardCharsets.ISO_8859_1);

  private static final int SEGMENT_HEAD = 4 + 14;
  private static final int MOST_OF_SEGMENT = 65_533 - 14;

  /** Bytes of a PNG before the profile: signature and IHDR chunk. */
  static final int PNG_HEAD = 8 + 25;

  /**
   * Bytes of a JPEG before the profile: start of image and the JFIF segment of the JDK's writer.
   */
  static final int JPEG_HEAD = 2 + 18;

  private ProfileTag() {}

  /**
   * A profile as APP2 segments (ICC.1:2022, Annex B.4), to stand after the JFIF header.
   *
   * @param profile at most 255 segments long
   */
  static byte[] jpegSegments(byte[] profile) {
    int count = (profile.length + MOST_OF_SEGMENT - 1) / MOST_OF_SEGMENT;
    ByteBuffer out = ByteBuffer.allocate(profile.length + count * SEGMENT_HEAD);
    for (int i = 0; i < count; i++) {
      int from = i * MOST_OF_SEGMENT;
      int n = Math.min(MOST_OF_SEGMENT, profile.length - from);
      out.put((byte) 0xff).put((byte) 0xe2).putShort((short) (SEGMENT_HEAD - 2 + n));
      out.put(JPEG_MARK).put((byte) (i + 1)).put((byte) count).put(profile, from, n);
    }
    return out.array();
  }

  /** A profile as an iCCP chunk (PNG, third edition, 11.3.2.3), to stand after the header. */
  static byte[] pngChunk(byte[] profile, String title) {
    byte[] packed = deflate(profile);
    byte[] name = ("iCCP" + title + "\0\0").getBytes(StandardCharsets.ISO_8859_1);
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

package org.nineveils.file;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * Tells camera raw files by what is in them: by their first bytes, or as a TIFF whose first
 * picture, or one that hangs on it, is a mosaic (TIFF/EP, ISO 12234-2: photometric interpretation
 * 32803; Digital Negative 1.6: 34892 and the tag of its version).
 */
final class RawMark {
  /** Endings of such files, for choosing them. */
  static final List<String> ENDINGS =
      List.of("dng", "cr2", "cr3", "nef", "arw", "raf", "rw2", "orf", "pef", "srw");

  /** First bytes of sorts that are no plain TIFF, from memory. */
  private static final List<String> FIRST =
      List.of("FUJIFILMCCD-RAW", "IIU\0", "IIRO", "IIRS", "MMOR");

  private static final String BOXED = "ftypcrx ";
  private static final int PHOTOMETRIC = 0x0106;
  private static final int BELOW = 0x014A;
  private static final int DNG_VERSION = 0xC612;
  private static final int MOSAIC = 32803;
  private static final int LINEAR = 34892;
  private static final int MOST_BELOW = 16;
  private static final int ENTRY = 12;

  private RawMark() {}

  static boolean isRaw(byte[] file) {
    if (file.length < 16) {
      return false;
    }
    String head = new String(file, 0, 16, StandardCharsets.ISO_8859_1);
    if (FIRST.stream().anyMatch(head::startsWith) || head.startsWith(BOXED, 4)) {
      return true;
    }
    boolean little = head.startsWith("II*\0");
    if (!little && !head.startsWith("MM\0*")) {
      return false;
    }
    ByteBuffer in = ByteBuffer.wrap(file);
    in.order(little ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    return head.startsWith("CR", 8) || isMosaic(in, in.getInt(4), true);
  }

  static boolean isNamed(String fileName) {
    return fileName.matches("(?i).*\\.(" + String.join("|", ENDINGS) + ")");
  }

  private static boolean isMosaic(ByteBuffer in, int at, boolean first) {
    if (at < 8 || at > in.limit() - 2) {
      return false;
    }
    int fields = in.getShort(at) & 0xffff;
    for (int i = 0; i < fields && at + 2 + (i + 1L) * ENTRY <= in.limit(); i++) {
      int field = at + 2 + i * ENTRY;
      int tag = in.getShort(field) & 0xffff;
      int value = in.getShort(field + 8) & 0xffff;
      boolean raw = tag == PHOTOMETRIC && (value == MOSAIC || value == LINEAR);
      if (raw || (first && tag == DNG_VERSION)) {
        return true;
      }
      if (first && tag == BELOW && isMosaicBelow(in, field)) {
        return true;
      }
    }
    return false;
  }

  private static boolean isMosaicBelow(ByteBuffer in, int field) {
    int count = Math.min(MOST_BELOW, in.getInt(field + 4));
    int places = count == 1 ? field + 8 : in.getInt(field + 8);
    for (int i = 0; i < count; i++) {
      long place = places + 4L * i;
      if (place >= 8 && place + 4 <= in.limit() && isMosaic(in, in.getInt((int) place), false)) {
        return true;
      }
    }
    return false;
  }
}

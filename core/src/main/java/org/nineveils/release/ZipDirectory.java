package org.nineveils.release;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * The central directory of a ZIP file: what most programs go by, while a stream reads what stands
 * before each entry. Both must say the same, or two programs would open two different releases.
 * Source: .ZIP File Format Specification (APPNOTE), 4.3.12 and 4.3.16.
 */
final class ZipDirectory {
  private static final int END = 0x06054b50;
  private static final int END_BYTES = 22;
  private static final int ENTRY = 0x02014b50;
  private static final int ENTRY_BYTES = 46;
  private static final int LONGEST_COMMENT = 65_535;

  private ZipDirectory() {}

  /** The names of its entries in order; none where there is no directory that can be read. */
  static List<String> names(byte[] zip) {
    ByteBuffer in = ByteBuffer.wrap(zip).order(ByteOrder.LITTLE_ENDIAN);
    int end = zip.length - END_BYTES;
    int first = Math.max(0, end - LONGEST_COMMENT);
    while (end >= first && in.getInt(end) != END) {
      end--;
    }
    List<String> names = new ArrayList<>();
    if (end < first) {
      return names;
    }
    int count = in.getShort(end + 10) & 0xffff;
    int at = in.getInt(end + 16);
    for (int i = 0; i < count; i++) {
      if (at < 0 || at > zip.length - ENTRY_BYTES || in.getInt(at) != ENTRY) {
        return List.of();
      }
      int name = in.getShort(at + 28) & 0xffff;
      int extra = in.getShort(at + 30) & 0xffff;
      int comment = in.getShort(at + 32) & 0xffff;
      if (at + ENTRY_BYTES + name > zip.length) {
        return List.of();
      }
      names.add(new String(zip, at + ENTRY_BYTES, name, StandardCharsets.UTF_8));
      at += ENTRY_BYTES + name + extra + comment;
    }
    return names;
  }
}

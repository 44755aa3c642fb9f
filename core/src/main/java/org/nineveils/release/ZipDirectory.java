package org.nineveils.release;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * The central directory of a ZIP file: what most programs go by, while a stream reads what stands
 * before each entry. Both must say the same, or two programs would open two different releases: the
 * entries lie one behind the other from the first byte on, each where the directory says, under the
 * name and with the size and checksum that it says. Source: .ZIP File Format Specification
 * (APPNOTE), 4.3.7, 4.3.9, 4.3.12 and 4.3.16.
 */
final class ZipDirectory {
  private static final int END = 0x06054b50;
  private static final int END_BYTES = 22;
  private static final int ENTRY = 0x02014b50;
  private static final int ENTRY_BYTES = 46;
  private static final int LOCAL = 0x04034b50;
  private static final int LOCAL_BYTES = 30;
  private static final int LONGEST_COMMENT = 65_535;

  /** Flag: sizes and checksum stand behind the entry, in 12 bytes, or in 16 with a signature. */
  private static final int BEHIND = 1 << 3;

  private static final int BEHIND_BYTES = 12;
  private static final int SIGNATURE_BYTES = 4;

  /**
   * What the directory says of an entry.
   *
   * @param crc checksum, CRC-32
   * @param bytes once unpacked
   */
  record Said(String name, long crc, long bytes) {}

  private final ByteBuffer in;

  private ZipDirectory(byte[] zip) {
    in = ByteBuffer.wrap(zip).order(ByteOrder.LITTLE_ENDIAN);
  }

  /** What it says of its entries in order; none where it and the entries do not say the same. */
  static List<Said> entries(byte[] zip) {
    try {
      return new ZipDirectory(zip).read();
    } catch (IndexOutOfBoundsException e) {
      return List.of(); // it points out of the file
    }
  }

  private List<Said> read() {
    int end = in.limit() - END_BYTES;
    int first = Math.max(0, end - LONGEST_COMMENT);
    while (end >= first && in.getInt(end) != END) {
      end--;
    }
    List<Said> out = new ArrayList<>();
    if (end < first) {
      return out;
    }
    int count = in.getShort(end + 10) & 0xffff;
    int begin = in.getInt(end + 16);
    int at = begin;
    int next = 0; // where the next entry begins, by what went before
    boolean behind = false; // whether sizes stand behind the entry before
    for (int i = 0; i < count; i++) {
      if (in.getInt(at) != ENTRY) {
        return List.of();
      }
      int name = in.getShort(at + 28) & 0xffff;
      String called = text(at + ENTRY_BYTES, name);
      int local = in.getInt(at + 42);
      if (!follows(next, local, behind) || !isSame(at, local, called)) {
        return List.of();
      }
      next = local + LOCAL_BYTES + name + (in.getShort(local + 28) & 0xffff) + in.getInt(at + 20);
      behind = (in.getShort(at + 8) & BEHIND) != 0;
      out.add(new Said(called, in.getInt(at + 16) & 0xffffffffL, in.getInt(at + 24) & 0xffffffffL));
      at += ENTRY_BYTES + name + (in.getShort(at + 30) & 0xffff) + (in.getShort(at + 32) & 0xffff);
    }
    return follows(next, begin, behind) ? out : List.of();
  }

  private static boolean follows(int next, int at, boolean behind) {
    int gap = at - next;
    return behind ? gap == BEHIND_BYTES || gap == BEHIND_BYTES + SIGNATURE_BYTES : gap == 0;
  }

  /** What stands before the entry says the same as the directory. */
  private boolean isSame(int at, int local, String called) {
    if (in.getInt(local) != LOCAL) {
      return false;
    }
    int flags = in.getShort(local + 6);
    boolean sized = (flags & BEHIND) != 0 || isSame(at + 16, local + 14, 3);
    return sized
        && in.getShort(at + 8) == in.getShort(local + 6)
        && in.getShort(at + 10) == in.getShort(local + 8)
        && called.equals(text(local + LOCAL_BYTES, in.getShort(local + 26) & 0xffff));
  }

  private boolean isSame(int at, int other, int numbers) {
    for (int i = 0; i < numbers; i++) {
      if (in.getInt(at + 4 * i) != in.getInt(other + 4 * i)) {
        return false;
      }
    }
    return true;
  }

  private String text(int at, int length) {
    byte[] bytes = new byte[length];
    in.get(at, bytes);
    return new String(bytes, StandardCharsets.UTF_8);
  }
}

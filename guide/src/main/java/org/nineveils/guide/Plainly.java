package org.nineveils.guide;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * A TrueType font without its table of substitutions (GSUB): PDFs would be set with ligatures,
 * which no search finds and no voice reads, since they stand for no letter. Source of the layout:
 * OpenType specification 1.9, “Organization of an OpenType font”.
 */
final class Plainly {
  private static final String SUBSTITUTIONS = "GSUB";
  private static final int HEAD = 12;
  private static final int ENTRY = 16;

  private Plainly() {}

  @SuppressWarnings("ArrayRecordComponent") // as they stand in the file
  private record Table(byte[] tag, int sum, byte[] content) {}

  /**
   * The font without them.
   *
   * @param font TrueType file
   */
  static byte[] set(byte[] font) {
    ByteBuffer in = ByteBuffer.wrap(font);
    int count = in.getShort(4) & 0xffff;
    List<Table> kept = new ArrayList<>();
    for (int k = 0; k < count; k++) {
      int at = HEAD + k * ENTRY;
      byte[] tag = java.util.Arrays.copyOfRange(font, at, at + 4);
      if (!new String(tag, StandardCharsets.US_ASCII).equals(SUBSTITUTIONS)) {
        int from = in.getInt(at + 8);
        byte[] content = java.util.Arrays.copyOfRange(font, from, from + in.getInt(at + 12));
        kept.add(new Table(tag, in.getInt(at + 4), content));
      }
    }
    int size = HEAD + kept.size() * ENTRY;
    for (Table table : kept) {
      size += padded(table.content().length);
    }
    ByteBuffer out = ByteBuffer.allocate(size);
    int most = Integer.highestOneBit(kept.size());
    out.putInt(in.getInt(0)).putShort((short) kept.size()).putShort((short) (most * ENTRY));
    out.putShort((short) Integer.numberOfTrailingZeros(most));
    out.putShort((short) ((kept.size() - most) * ENTRY));
    int place = HEAD + kept.size() * ENTRY;
    for (Table table : kept) {
      out.put(table.tag()).putInt(table.sum()).putInt(place).putInt(table.content().length);
      out.put(place, table.content());
      place += padded(table.content().length);
    }
    return out.array();
  }

  private static int padded(int length) {
    return (length + 3) / 4 * 4;
  }
}

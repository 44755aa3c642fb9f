package org.nineveils.file.data;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.nineveils.refusal.InputLimits;

/**
 * A directory of fields as in TIFF 6.0, section 2, with the directories that hang on it; by number
 * of tag. Values are kept as they stand in the file.
 *
 * @param order of the bytes of all values
 */
record Directory(ByteOrder order, Map<Integer, Field> fields, Map<Integer, Directory> below) {
  /** Tags whose value is the place of another directory: Exif 2.32, section 4.6.3. */
  static final int EXIF = 0x8769;

  static final int GPS = 0x8825;

  /** Notes of the maker of the camera. */
  static final int MAKER_NOTE = 0x927C;

  private static final int SMALL_AT = 0x0201; // of the small picture, in the second directory
  static final int INTEROPERABILITY = 0xA005;

  /** Profile of the colours; where it is large, it is known to be there and not kept. */
  static final int PROFILE = 0x8773;

  private static final int MOST_FIELDS = 500;
  private static final int MOST_BYTES = 256 * 1024;
  private static final int HEAD = 8;
  private static final int ENTRY = 12;

  /** Bytes of a value of each type: byte, ascii, short, long, rational … double. */
  private static final int[] SIZES = {0, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8};

  /**
   * A field.
   *
   * @param type of its values, 1…12
   * @param count of values
   * @param at where the value stood in its block, 0 where it stood in none
   */
  @SuppressWarnings("ArrayRecordComponent") // as it stands in the file
  record Field(int type, int count, byte[] bytes, int at) {}

  private static Directory empty(ByteOrder order) {
    return new Directory(order, new TreeMap<>(), new TreeMap<>());
  }

  /**
   * Reads a TIFF block: all that can be read of it.
   *
   * @return null if it is none
   */
  static Directory read(byte[] block) {
    ByteBuffer in = opened(block);
    return in == null ? null : new Reading(in).read(in.getInt(4), 1);
  }

  /** Whether a second directory follows that holds a small picture (Exif 2.32, 4.5.7). */
  static boolean holdsSmall(byte[] block) {
    ByteBuffer in = opened(block);
    if (in == null) {
      return false;
    }
    int first = in.getInt(4);
    if (first < HEAD || first > in.limit() - 2) {
      return false;
    }
    long next = first + 2L + (in.getShort(first) & 0xffff) * (long) ENTRY;
    return next + 4 <= in.limit()
        && new Reading(in).read(in.getInt((int) next), 1).fields.containsKey(SMALL_AT);
  }

  private static ByteBuffer opened(byte[] block) {
    if (block.length < HEAD) {
      return null;
    }
    ByteBuffer in = ByteBuffer.wrap(block);
    in.order(block[0] == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    boolean one = block[0] == block[1] && (block[0] == 'I' || block[0] == 'M');
    return one && in.getShort(2) == 42 ? in : null;
  }

  /**
   * One reading of a block. Fields may name the same bytes and directories hang on one another as a
   * file likes; what is taken of them has its bounds in {@link InputLimits}.
   */
  private static final class Reading {
    private final ByteBuffer in;
    private final Set<Integer> seen = new HashSet<>();
    private int left = InputLimits.TAG_BYTES;

    Reading(ByteBuffer in) {
      this.in = in;
    }

    Directory read(int at, int depth) {
      Directory out = empty(in.order());
      if (depth > InputLimits.TAG_NESTING || at < HEAD || at > in.limit() - 2 || !seen.add(at)) {
        return out;
      }
      int count = Math.min(in.getShort(at) & 0xffff, MOST_FIELDS);
      for (int i = 0; i < count && at + 2 + (i + 1) * ENTRY <= in.limit(); i++) {
        try {
          field(at + 2 + i * ENTRY, out, depth);
        } catch (IndexOutOfBoundsException | BufferUnderflowException e) {
          // a field that points out of the file is let be
        }
      }
      return out;
    }

    private void field(int at, Directory out, int depth) {
      int tag = in.getShort(at) & 0xffff;
      int type = in.getShort(at + 2) & 0xffff;
      long values = in.getInt(at + 4) & 0xffffffffL;
      if (type == 0 || type >= SIZES.length) {
        return;
      }
      if (values * SIZES[type] > Math.min(MOST_BYTES, left)) {
        if (tag == PROFILE) {
          out.fields.put(tag, new Field(type, 0, new byte[0], 0));
        }
        return;
      }
      if (tag == EXIF || tag == GPS || tag == INTEROPERABILITY) {
        out.below.put(tag, read(in.getInt(at + 8), depth + 1));
        return;
      }
      byte[] bytes = new byte[(int) values * SIZES[type]];
      int place = bytes.length <= 4 ? at + 8 : in.getInt(at + 8);
      in.get(place, bytes);
      left -= bytes.length;
      out.fields.put(tag, new Field(type, (int) values, bytes, place));
    }
  }

  /** Bytes that it takes in a block at most, with all that hangs on it. */
  int size() {
    int size = 2 + fieldsAndBelow() * ENTRY + 4;
    for (Field f : fields.values()) {
      size += f.bytes.length + 1;
    }
    for (Directory d : below.values()) {
      size += d.size();
    }
    return size;
  }

  /** Its fields and the directories that hang on it. */
  int fieldsAndBelow() {
    return fields.size() + below.size();
  }

  void putShort(int tag, int value) {
    ByteBuffer b = ByteBuffer.allocate(2).order(order).putShort((short) value);
    fields.put(tag, new Field(3, 1, b.array(), 0));
  }

  void putLong(int tag, int value) {
    ByteBuffer b = ByteBuffer.allocate(4).order(order).putInt(value);
    fields.put(tag, new Field(4, 1, b.array(), 0));
  }

  void putText(int tag, String text) {
    byte[] bytes = (text + "\0").getBytes(StandardCharsets.US_ASCII);
    fields.put(tag, new Field(2, bytes.length, bytes, 0));
  }

  /** A copy with the fields of some tags, and all that hangs on it. */
  Directory only(Set<Integer> tags) {
    Directory out = empty(order);
    fields.forEach(
        (tag, f) -> {
          if (tags.contains(tag)) out.fields.put(tag, f);
        });
    below.forEach((tag, d) -> out.below.put(tag, d.copy()));
    return out;
  }

  private Directory copy() {
    Directory out = empty(order);
    out.fields.putAll(fields);
    below.forEach((tag, d) -> out.below.put(tag, d.copy()));
    return out;
  }

  /** One without anything in it. */
  static Directory blank() {
    return empty(ByteOrder.BIG_ENDIAN);
  }

  /** The directory that hangs on a tag, made where there is none. */
  Directory belowOf(int tag) {
    return below.computeIfAbsent(tag, t -> empty(order));
  }
}

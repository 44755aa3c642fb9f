package org.nineveils.file.data;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;

/**
 * Directories being laid out as a TIFF block. Notes of a camera's maker stay at the very place
 * where they stood: many hold places counted from the head of the block, which would point
 * elsewhere once they are moved (Exif 2.32, 4.6.5.C, leaves their inside to the maker).
 */
final class Block {
  private static final int HEAD = 8;
  private static final int ENTRY = 12;
  private static final int LONG = 4;
  private static final int JPEG_AT = 0x0201;
  private static final int JPEG_LENGTH = 0x0202;
  private static final int COMPRESSION = 0x0103;
  private static final int JPEG = 6;

  private final ByteBuffer out;
  private final int noteFrom;
  private final int noteTo;
  private int before = HEAD;
  private int after;

  private Block(int bytes, Directory.Field note, ByteOrder order) {
    this.noteFrom = note == null ? Integer.MAX_VALUE : note.at();
    this.noteTo = note == null ? HEAD : even(note.at() + note.bytes().length);
    this.after = noteTo;
    this.out = ByteBuffer.allocate(noteTo + bytes).order(order);
    if (note != null) {
      out.put(note.at(), note.bytes());
    }
  }

  /**
   * A block of a directory and what hangs on it.
   *
   * @param small a JPEG to stand as the small picture in a second directory; null for none
   * @param room bytes kept for it, at least its length
   */
  static byte[] of(Directory first, byte[] small, int room) {
    Directory more = first.below().get(Directory.EXIF);
    Directory.Field note = more == null ? null : more.fields().get(Directory.MAKER_NOTE);
    Block block = new Block(HEAD + first.size() + room + 100, note, first.order());
    int at = block.write(first);
    char letter = first.order() == ByteOrder.LITTLE_ENDIAN ? 'I' : 'M';
    block.out.put(0, (byte) letter).put(1, (byte) letter).putShort(2, (short) 42).putInt(4, at);
    if (small != null) {
      int next = at + 2 + first.fieldsAndBelow() * ENTRY;
      block.out.putInt(next, block.write(second(block.claim(room, small), small.length, first)));
    }
    return Arrays.copyOf(block.out.array(), block.end());
  }

  private static Directory second(int at, int length, Directory first) {
    Directory out = first.only(Set.of());
    out.below().clear();
    out.putShort(COMPRESSION, JPEG);
    out.putLong(JPEG_AT, at);
    out.putLong(JPEG_LENGTH, length);
    return out;
  }

  private int end() {
    return noteFrom == Integer.MAX_VALUE ? before : after;
  }

  private static int even(int n) {
    return n + (n & 1);
  }

  /** A place for so many bytes that keeps clear of the notes. */
  private int claim(int bytes) {
    if (before + bytes <= noteFrom) {
      int at = before;
      before += even(bytes);
      return at;
    }
    int at = after;
    after += even(bytes);
    return at;
  }

  private int claim(int bytes, byte[] value) {
    int at = claim(bytes);
    out.put(at, value);
    return at;
  }

  private int write(Directory d) {
    Set<Integer> tags = new TreeSet<>(d.fields().keySet());
    tags.addAll(d.below().keySet());
    int at = claim(2 + tags.size() * ENTRY + 4);
    out.putShort(at, (short) tags.size());
    int place = at + 2;
    for (int tag : tags) {
      Directory other = d.below().get(tag);
      Directory.Field f = d.fields().get(tag);
      out.putShort(place, (short) tag);
      if (other != null) {
        out.putShort(place + 2, (short) LONG).putInt(place + 4, 1).putInt(place + 8, write(other));
      } else {
        out.putShort(place + 2, (short) f.type()).putInt(place + 4, f.count());
        value(place + 8, f, tag == Directory.MAKER_NOTE);
      }
      place += ENTRY;
    }
    return at;
  }

  private void value(int at, Directory.Field f, boolean note) {
    if (f.bytes().length <= 4) {
      out.put(at, f.bytes());
    } else {
      out.putInt(at, note ? f.at() : claim(f.bytes().length, f.bytes()));
    }
  }
}

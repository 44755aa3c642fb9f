package org.nineveils.file;

import java.io.IOException;
import java.nio.ByteOrder;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;
import javax.imageio.stream.ImageInputStream;

/**
 * What the directories of a TIFF (TIFF 6.0, section 2) claim to hold. Decoders read every field
 * whole before they give a width, and nothing forbids fields to name the same bytes: a small file
 * could ask for any amount of memory. In an honest file no two fields share bytes, so all of them
 * together are not larger than the file.
 */
final class TiffClaims {
  private static final int MAGIC = 42;
  private static final int ENTRY = 12;
  private static final int MOST_DIRECTORIES = 2000;

  /** Tags whose values are places of other directories: SubIFDs, Exif, GPS, interoperability. */
  private static final Set<Integer> POINTERS = Set.of(0x014A, 0x8769, 0x8825, 0xA005);

  /** Bytes of a value of each type: byte, ascii, short, long, rational … double, and IFD. */
  private static final int[] SIZES = {1, 1, 1, 2, 4, 8, 1, 1, 2, 4, 8, 4, 8, 4};

  private final ImageInputStream in;
  private final Deque<Long> directories = new ArrayDeque<>();
  private final Set<Long> seen = new HashSet<>();
  private long claimed;

  private TiffClaims(ImageInputStream in) {
    this.in = in;
  }

  /**
   * Whether a file is a TIFF that claims more than it has. The place in the stream stays as it is.
   *
   * @param length of the file, bytes
   */
  static boolean areFalse(ImageInputStream in, long length) throws IOException {
    ByteOrder order = in.getByteOrder();
    long place = in.getStreamPosition();
    try {
      return new TiffClaims(in).areMoreThan(length);
    } finally {
      in.setByteOrder(order);
      in.seek(place);
    }
  }

  private boolean areMoreThan(long length) throws IOException {
    in.seek(0);
    int one = in.read();
    if (one != in.read() || (one != 'I' && one != 'M')) {
      return false;
    }
    in.setByteOrder(one == 'I' ? ByteOrder.LITTLE_ENDIAN : ByteOrder.BIG_ENDIAN);
    if (in.readUnsignedShort() != MAGIC) {
      return false; // none, or of the large sort that no camera writes: its decoder says so
    }
    follow(in.readUnsignedInt(), length);
    while (!directories.isEmpty()) {
      if (seen.size() > MOST_DIRECTORIES || claimed > length) {
        return true;
      }
      directory(directories.poll(), length);
    }
    return claimed > length;
  }

  private void follow(long place, long length) {
    if (place > 0 && place + 2 <= length && seen.add(place)) {
      directories.add(place);
    }
  }

  private void directory(long place, long length) throws IOException {
    in.seek(place);
    int count = in.readUnsignedShort();
    if (place + 2 + (long) count * ENTRY > length) {
      return; // it points out of the file, which its decoder says
    }
    for (int i = 0; i < count; i++) {
      in.seek(place + 2 + (long) i * ENTRY);
      int tag = in.readUnsignedShort();
      int type = in.readUnsignedShort();
      long values = in.readUnsignedInt();
      claimed += values * SIZES[Math.min(type, SIZES.length - 1)];
      if (POINTERS.contains(tag) && values == 1) {
        follow(in.readUnsignedInt(), length);
      }
    }
    if (place + 2 + (long) count * ENTRY + 4 <= length) {
      in.seek(place + 2 + (long) count * ENTRY);
      follow(in.readUnsignedInt(), length);
    }
  }
}

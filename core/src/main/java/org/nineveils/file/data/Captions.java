package org.nineveils.file.data;

import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Captions and rights as IPTC-IIM 4.2 keeps them: data sets, each a mark, a record, a number and a
 * text. In a JPEG they stand among the image resources of an APP13 segment, in a TIFF in a field of
 * their own (tag 33723); a PNG has no place for them, so they become XMP there, by the table of the
 * IPTC Photo Metadata Standard.
 */
final class Captions {
  static final int TIFF_TAG = 33723;

  private static final byte[] HEAD =
      "Photoshop 3.0\0".getBytes(StandardCharsets.US_ASCII); // what the segment begins with
  private static final int RESOURCE = 0x3842494D; // “8BIM”
  private static final int IIM = 0x0404;
  private static final int MARK = 0x1c;

  /** Places, of record 2: sublocation, city, state, country by code and name. */
  private static final Set<Integer> PLACES = Set.of(90, 92, 95, 100, 101, 26, 27);

  private static final byte[] UTF8 = {0x1b, 0x25, 0x47};

  private Captions() {}

  @SuppressWarnings("ArrayRecordComponent") // as it stands in the file
  private record DataSet(int set, int number, byte[] value) {}

  /** The data sets in a segment; null for none. */
  static byte[] ofSegment(byte[] segment) {
    if (segment == null) {
      return null;
    }
    ByteBuffer in = ByteBuffer.wrap(segment);
    int at = HEAD.length;
    while (at + 12 <= segment.length && in.getInt(at) == RESOURCE) {
      int id = in.getShort(at + 4) & 0xffff;
      int name = 1 + (segment[at + 6] & 0xff);
      int size = at + 6 + name + name % 2;
      if (size + 4 > segment.length) {
        return null;
      }
      int length = in.getInt(size);
      if (length < 0 || length > segment.length - size - 4) {
        return null;
      }
      if (id == IIM) {
        return java.util.Arrays.copyOfRange(segment, size + 4, size + 4 + length);
      }
      at = size + 4 + length + length % 2;
    }
    return null;
  }

  /** A segment that holds nothing but these data sets. */
  static byte[] segment(byte[] sets) {
    ByteBuffer out = ByteBuffer.allocate(HEAD.length + 12 + sets.length + sets.length % 2);
    out.put(HEAD).putInt(RESOURCE).putShort((short) IIM).putShort((short) 0);
    return out.putInt(sets.length).put(sets).array();
  }

  /** The same segment without places. */
  static byte[] discreet(byte[] segment) {
    byte[] sets = ofSegment(segment);
    if (sets == null) {
      return null;
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    for (DataSet one : read(sets)) {
      if (one.set() != 2 || !PLACES.contains(one.number())) {
        out.write(MARK);
        out.write(one.set());
        out.write(one.number());
        out.write(one.value().length >> 8);
        out.write(one.value().length);
        out.writeBytes(one.value());
      }
    }
    return segment(out.toByteArray());
  }

  private static List<DataSet> read(byte[] sets) {
    List<DataSet> out = new ArrayList<>();
    ByteBuffer in = ByteBuffer.wrap(sets);
    int at = 0;
    while (at + 5 <= sets.length && sets[at] == MARK) {
      int length = in.getShort(at + 3) & 0xffff;
      if (length > 0x7fff || at + 5 + length > sets.length) {
        break; // longer than a caption is
      }
      byte[] value = java.util.Arrays.copyOfRange(sets, at + 5, at + 5 + length);
      out.add(new DataSet(sets[at + 1] & 0xff, sets[at + 2] & 0xff, value));
      at += 5 + length;
    }
    return out;
  }

  /**
   * What of the captions an XMP packet lacks is added to it, by the table of the IPTC Photo
   * Metadata Standard; null where there is neither.
   *
   * @param segment null for none
   * @param xmp packet, null for none; taken as it is where it cannot be read
   */
  static byte[] intoXmp(byte[] segment, byte[] xmp) {
    byte[] sets = ofSegment(segment);
    XmpPacket packet = xmp == null ? XmpPacket.blank() : XmpPacket.read(xmp).orElse(null);
    if (sets == null || packet == null) {
      return xmp;
    }
    List<DataSet> all = read(sets);
    Charset as = all.stream().anyMatch(Captions::saysUtf8) ? UTF_8 : ISO_8859_1;
    boolean added = false;
    for (CaptionNames one : CaptionNames.values()) {
      List<String> values =
          all.stream()
              .filter(s -> s.set() == 2 && s.number() == one.number())
              .map(
                  s ->
                      one.said(
                          new String(s.value(), as).replaceAll("[\\p{Cntrl}\uFFFE\uFFFF]", " ")))
              .filter(s -> !s.isBlank())
              .toList();
      if (!values.isEmpty() && !packet.has(one::is)) {
        packet.add(one.namespace(), one.qualified(), one.list(), values);
        added = true;
      }
    }
    return added ? packet.bytes() : xmp;
  }

  private static boolean saysUtf8(DataSet s) {
    return s.set() == 1 && s.number() == 90 && java.util.Arrays.equals(s.value(), UTF8);
  }
}

package org.nineveils.picture.data;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

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
   * Title, description, creators, rights and keywords as an XMP packet; null where there is none.
   */
  static byte[] xmp(byte[] segment) {
    byte[] sets = ofSegment(segment);
    if (sets == null) {
      return null;
    }
    List<DataSet> all = read(sets);
    boolean utf8 =
        all.stream()
            .anyMatch(
                s -> s.set() == 1 && s.number() == 90 && java.util.Arrays.equals(s.value(), UTF8));
    Charset as = utf8 ? StandardCharsets.UTF_8 : StandardCharsets.ISO_8859_1;
    String inside =
        element("title", "Alt", " xml:lang=\"x-default\"", all, 5, as)
            + element("description", "Alt", " xml:lang=\"x-default\"", all, 120, as)
            + element("creator", "Seq", "", all, 80, as)
            + element("rights", "Alt", " xml:lang=\"x-default\"", all, 116, as)
            + element("subject", "Bag", "", all, 25, as);
    return inside.isEmpty() ? null : packet(inside).getBytes(StandardCharsets.UTF_8);
  }

  private static String packet(String inside) {
    return """
        <?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>\
        <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">\
        <rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/">%s</rdf:Description>\
        </rdf:RDF></x:xmpmeta><?xpacket end="w"?>"""
        .formatted(inside);
  }

  private static String element(
      String name, String list, String more, List<DataSet> all, int number, Charset as) {
    String items =
        all.stream()
            .filter(s -> s.set() == 2 && s.number() == number)
            .map(s -> "<rdf:li%s>%s</rdf:li>".formatted(more, escaped(new String(s.value(), as))))
            .collect(Collectors.joining());
    return items.isEmpty()
        ? ""
        : "<dc:%1$s><rdf:%2$s>%3$s</rdf:%2$s></dc:%1$s>".formatted(name, list, items);
  }

  private static String escaped(String text) {
    return text.replaceAll("\\p{Cntrl}", " ")
        .replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;");
  }
}

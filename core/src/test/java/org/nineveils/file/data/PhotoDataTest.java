package org.nineveils.file.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.ExifThumbnailDirectory;
import com.drew.metadata.exif.GpsDirectory;
import com.drew.metadata.iptc.IptcDirectory;
import com.drew.metadata.xmp.XmpDirectory;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;
import org.nineveils.testing.InStrips;
import org.nineveils.testing.Pictures;

/**
 * Read back by a library of others (metadata-extractor); blocks are built by hand after Exif 2.32.
 */
class PhotoDataTest {
  @TempDir Path folder;

  /** Fields of one directory, laid out from a place in a little-endian block on. */
  private static final class Fields {
    private final ByteBuffer head = ByteBuffer.allocate(400).order(ByteOrder.LITTLE_ENDIAN);
    private final ByteBuffer tail = ByteBuffer.allocate(600).order(ByteOrder.LITTLE_ENDIAN);
    private final int at;
    private final int values;
    private int count;

    Fields(int at, int fields) {
      this.at = at;
      this.values = at + 2 + 12 * fields + 4;
    }

    Fields text(int tag, String s) {
      byte[] bytes = (s + "\0").getBytes(StandardCharsets.US_ASCII);
      field(tag, 2, bytes.length);
      if (bytes.length <= 4) {
        head.put(java.util.Arrays.copyOf(bytes, 4));
      } else {
        head.putInt(values + tail.position());
        tail.put(bytes);
        if (tail.position() % 2 == 1) {
          tail.put((byte) 0);
        }
      }
      return this;
    }

    Fields number(int tag, int type, int v) {
      field(tag, type, 1);
      head.putInt(v);
      return this;
    }

    Fields rationals(int tag, int... parts) {
      field(tag, 5, parts.length / 2);
      head.putInt(values + tail.position());
      for (int p : parts) {
        tail.putInt(p);
      }
      return this;
    }

    Fields note(int tag, int where, int bytes) {
      field(tag, 7, bytes);
      head.putInt(where);
      return this;
    }

    private void field(int tag, int type, int n) {
      count++;
      head.putShort((short) tag).putShort((short) type).putInt(n);
    }

    void into(ByteBuffer block, int next) {
      block.putShort(at, (short) count);
      block.put(at + 2, head.array(), 0, head.position());
      block.putInt(at + 2 + head.position(), next);
      block.put(values, tail.array(), 0, tail.position());
    }
  }

  private static final byte[] NOTE = new byte[40];

  static {
    new Random(5).nextBytes(NOTE);
  }

  private static byte[] exif() {
    ByteBuffer block = ByteBuffer.allocate(2600).order(ByteOrder.LITTLE_ENDIAN);
    block.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
    new Fields(8, 10)
        .text(0x010E, "Asleep")
        .text(0x010F, "Ashgrove")
        .text(0x0110, "Box 3")
        .number(0x0112, 3, 6)
        .rationals(0x011A, 240, 1)
        .rationals(0x011B, 240, 1)
        .number(0x0128, 3, 2)
        .text(0x8298, "Mill Lane Studio")
        .number(0x8769, 4, 800)
        .number(0x8825, 4, 1400)
        .into(block, 2000);
    new Fields(800, 8)
        .rationals(0x829A, 1, 250)
        .rationals(0x829D, 28, 10)
        .text(0x9003, "2026:05:04 10:11:12")
        .note(0x927C, 1000, 40)
        .number(0xA002, 4, 4000)
        .number(0xA003, 4, 3000)
        .text(0xA431, "B-7781")
        .text(0xA434, "Fifty")
        .into(block, 0);
    new Fields(1400, 4)
        .text(1, "N")
        .rationals(2, 51, 1, 30, 1, 0, 1)
        .text(3, "E")
        .rationals(4, 7, 1, 15, 1, 0, 1)
        .into(block, 0);
    block.put(1000, NOTE);
    new Fields(2000, 2).number(0x0201, 4, 2200).number(0x0202, 4, 100).into(block, 0);
    return block.array();
  }

  private static final String XMP =
      """
      <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">\
      <rdf:Description rdf:about="" xmlns:tiff="http://ns.adobe.com/tiff/1.0/" \
      xmlns:exif="http://ns.adobe.com/exif/1.0/" xmlns:aux="http://ns.adobe.com/exif/1.0/aux/" \
      xmlns:dc="http://purl.org/dc/elements/1.1/" tiff:Orientation="6" exif:GPSLatitude="51,30.0N" \
      aux:SerialNumber="B-7781"><dc:rights><rdf:Alt><rdf:li xml:lang="x-default">All kept</rdf:li></rdf:Alt>\
      </dc:rights></rdf:Description></rdf:RDF></x:xmpmeta>""";

  /**
   * IPTC-IIM 4.2: record 2, datasets 120 (caption) and 90 (city), in the resource 0x0404 of the
   * segment.
   */
  private static byte[] captions() {
    ByteBuffer iim = ByteBuffer.allocate(2 * 5 + 14 + 5);
    for (String[] set : new String[][] {{"120", "Asleep in wool"}, {"90", "Hythe"}}) {
      byte[] words = set[1].getBytes(StandardCharsets.US_ASCII);
      iim.put((byte) 0x1c).put((byte) 2).put((byte) Integer.parseInt(set[0]));
      iim.putShort((short) words.length).put(words);
    }
    byte[] mark = java.util.HexFormat.of().parseHex("50686f746f73686f7020332e3000");
    ByteBuffer out = ByteBuffer.allocate(mark.length + 12 + iim.capacity() + iim.capacity() % 2);
    out.put(mark).put("8BIM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 0x0404);
    out.putShort((short) 0).putInt(iim.capacity()).put(iim.array());
    return out.array();
  }

  private static void segment(ByteArrayOutputStream out, int marker, byte[]... parts) {
    int length = 2;
    for (byte[] p : parts) {
      length += p.length;
    }
    out.write(0xff);
    out.write(marker);
    out.write(length >> 8);
    out.write(length);
    for (byte[] p : parts) {
      out.writeBytes(p);
    }
  }

  private static byte[] photo() {
    byte[] plain = PictureWriter.jpeg(Pictures.random(40, 30, 1), 0.9f);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(plain, 0, 2);
    segment(out, 0xe1, "Exif\0\0".getBytes(StandardCharsets.US_ASCII), exif());
    segment(
        out,
        0xe1,
        "http://ns.adobe.com/xap/1.0/\0".getBytes(StandardCharsets.US_ASCII),
        XMP.getBytes(StandardCharsets.UTF_8));
    segment(out, 0xed, captions());
    out.write(plain, 2, plain.length - 2);
    return out.toByteArray();
  }

  private Metadata written(PictureFormat format, PhotoData data) throws Exception {
    Picture upright = PictureReader.read(photo(), "in.jpg");
    assertThat(upright.width()).isEqualTo(30);
    Path file = folder.resolve("out." + format.ending());
    PictureWriter.write(Strips.of(upright), format, 95, data, file);
    Picture back = PictureReader.read(file);
    assertThat(back.width()).as("not turned again").isEqualTo(30);
    return ImageMetadataReader.readMetadata(new ByteArrayInputStream(Files.readAllBytes(file)));
  }

  private static String text(Metadata all, Class<? extends Directory> directory, int tag) {
    Directory d = all.getFirstDirectoryOfType(directory);
    return d == null ? null : d.getString(tag);
  }

  @ParameterizedTest
  @EnumSource(PictureFormat.class)
  void whatAPhotoSaysOfItselfIsKeptAndTrueOfTheResult(PictureFormat format) throws Exception {
    Metadata all = written(format, PhotoData.of(photo()));
    assertThat(text(all, ExifIFD0Directory.class, ExifIFD0Directory.TAG_MODEL)).isEqualTo("Box 3");
    assertThat(text(all, ExifIFD0Directory.class, ExifIFD0Directory.TAG_COPYRIGHT))
        .isEqualTo("Mill Lane Studio");
    assertThat(text(all, ExifIFD0Directory.class, ExifIFD0Directory.TAG_ORIENTATION))
        .isEqualTo("1");
    assertThat(text(all, ExifIFD0Directory.class, ExifIFD0Directory.TAG_SOFTWARE))
        .isEqualTo("Nine Veils");
    assertThat(text(all, ExifIFD0Directory.class, ExifIFD0Directory.TAG_X_RESOLUTION))
        .isIn("240", "240/1");
    Class<ExifSubIFDDirectory> more = ExifSubIFDDirectory.class;
    assertThat(text(all, more, ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL))
        .isEqualTo("2026:05:04 10:11:12");
    assertThat(text(all, more, ExifSubIFDDirectory.TAG_EXPOSURE_TIME)).isIn("1/250", "0.004");
    assertThat(text(all, more, ExifSubIFDDirectory.TAG_LENS_MODEL)).isEqualTo("Fifty");
    assertThat(text(all, more, ExifSubIFDDirectory.TAG_BODY_SERIAL_NUMBER)).isEqualTo("B-7781");
    assertThat(text(all, more, ExifSubIFDDirectory.TAG_EXIF_IMAGE_WIDTH)).isEqualTo("30");
    assertThat(all.getFirstDirectoryOfType(GpsDirectory.class).getGeoLocation().getLatitude())
        .isEqualTo(51.5);
    String xmp = all.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties().toString();
    assertThat(xmp).contains("All kept", "tiff:Orientation=1");
    if (!format.ending().equals("png")) {
      assertThat(text(all, IptcDirectory.class, IptcDirectory.TAG_CAPTION))
          .isEqualTo("Asleep in wool");
      assertThat(text(all, IptcDirectory.class, IptcDirectory.TAG_CITY)).isEqualTo("Hythe");
    }
  }

  /**
   * Exif 2.32, 4.5.7: the small picture stands in the second directory, no larger than 160 × 120.
   */
  @Test
  void theSmallPictureInsideAJpegIsOneOfTheResult() throws Exception {
    Picture result = halves(4000, 3000);
    Path file = folder.resolve("small.jpg");
    PictureWriter.write(
        new InStrips(result, 700), PictureFormat.JPEG, 90, PhotoData.of(photo()), file);
    byte[] bytes = Files.readAllBytes(file);
    ExifThumbnailDirectory small =
        ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes))
            .getFirstDirectoryOfType(ExifThumbnailDirectory.class);
    int head = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("Exif\0\0") + 6;
    int at = head + small.getInt(ExifThumbnailDirectory.TAG_THUMBNAIL_OFFSET);
    int length = small.getInt(ExifThumbnailDirectory.TAG_THUMBNAIL_LENGTH);
    Picture inside = PictureReader.read(java.util.Arrays.copyOfRange(bytes, at, at + length), "in");
    assertThat(inside.width()).isEqualTo(160);
    assertThat(inside.height()).isEqualTo(120);
    assertThat(inside.r()[60 * 160 + 40]).isCloseTo(0.8f, within(0.02f));
    assertThat(inside.b()[60 * 160 + 120]).isCloseTo(0.6f, within(0.02f));
    assertThat(PictureReader.read(file).width()).isEqualTo(4000);
    // a photo without one gets none
    PictureWriter.write(Strips.of(result), PictureFormat.JPEG, 90, PhotoData.NONE, file);
    assertThat(PhotoData.of(Files.readAllBytes(file)).wantsSmall()).isFalse();
  }

  private static Picture halves(int w, int h) {
    Picture out = Pictures.flat(w, h, 0.2f, 0.2f, 0.2f);
    for (int i = 0; i < w * h; i++) {
      (i % w < w / 2 ? out.r() : out.b())[i] = i % w < w / 2 ? 0.8f : 0.6f;
    }
    return out;
  }

  /** Places in a maker's notes are counted from the head of the block: they may not be moved. */
  @ParameterizedTest
  @EnumSource(
      value = PictureFormat.class,
      names = {"JPEG", "PNG"})
  void notesOfTheCamerasMakerStayWhereTheyStood(PictureFormat format) throws Exception {
    written(format, PhotoData.of(photo()));
    PhotoData back = PhotoData.of(Files.readAllBytes(folder.resolve("out." + format.ending())));
    byte[] block = back.block();
    assertThat(java.util.Arrays.copyOfRange(block, 1000, 1040)).isEqualTo(NOTE);
    written(format, PhotoData.of(photo()).discreet());
    byte[] bytes = Files.readAllBytes(folder.resolve("out." + format.ending()));
    assertThat(
            text(
                ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes)),
                ExifSubIFDDirectory.class,
                ExifSubIFDDirectory.TAG_MAKERNOTE))
        .isNull();
  }

  /** A PNG has no place for IPTC-IIM: dc:description by the IPTC Photo Metadata Standard 2023.1. */
  @Test
  void captionsBecomeXmpInAPng() throws Exception {
    Metadata all = written(PictureFormat.PNG, new PhotoData(null, null, captions(), null));
    String xmp = all.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties().toString();
    assertThat(xmp).contains("dc:description[1]=Asleep in wool");
  }

  @Test
  void captionsComeThroughATiff() throws Exception {
    written(PictureFormat.TIFF, new PhotoData(null, null, captions(), null));
    PhotoData back = PhotoData.of(Files.readAllBytes(folder.resolve("out.tif")));
    Metadata all = written(PictureFormat.JPEG, back);
    assertThat(text(all, IptcDirectory.class, IptcDirectory.TAG_CAPTION))
        .isEqualTo("Asleep in wool");
  }

  @ParameterizedTest
  @EnumSource(PictureFormat.class)
  void placeAndNumbersAreLeftOutWhereThatIsWanted(PictureFormat format) throws Exception {
    Metadata all = written(format, PhotoData.of(photo()).discreet());
    assertThat(all.getFirstDirectoryOfType(GpsDirectory.class)).isNull();
    Class<ExifSubIFDDirectory> more = ExifSubIFDDirectory.class;
    assertThat(text(all, more, ExifSubIFDDirectory.TAG_BODY_SERIAL_NUMBER)).isNull();
    assertThat(text(all, more, ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL)).isNotNull();
    String xmp = all.getFirstDirectoryOfType(XmpDirectory.class).getXmpProperties().toString();
    assertThat(xmp).contains("All kept").doesNotContain("51,30", "B-7781");
    if (!format.ending().equals("png")) {
      assertThat(text(all, IptcDirectory.class, IptcDirectory.TAG_CAPTION)).isNotNull();
      assertThat(text(all, IptcDirectory.class, IptcDirectory.TAG_CITY)).isNull();
    }
  }

  @ParameterizedTest
  @EnumSource(PictureFormat.class)
  void itComesThroughASecondTime(PictureFormat format) throws Exception {
    written(format, PhotoData.of(photo()));
    byte[] first = Files.readAllBytes(folder.resolve("out." + format.ending()));
    Metadata all = written(PictureFormat.JPEG, PhotoData.of(first));
    assertThat(text(all, ExifIFD0Directory.class, ExifIFD0Directory.TAG_MODEL)).isEqualTo("Box 3");
    assertThat(text(all, ExifSubIFDDirectory.class, ExifSubIFDDirectory.TAG_LENS_MODEL))
        .isEqualTo("Fifty");
    assertThat(all.getFirstDirectoryOfType(XmpDirectory.class)).isNotNull();
  }

  @Test
  void damagedDataNeverKeepsAPictureFromBeingWritten() throws Exception {
    Random random = new Random(7);
    for (int i = 0; i < 300; i++) {
      byte[] block = exif();
      for (int k = 0; k < 6; k++) {
        block[random.nextInt(block.length)] = (byte) random.nextInt();
      }
      org.nineveils.file.data.Directory read = org.nineveils.file.data.Directory.read(block);
      PhotoData data = new PhotoData(read, null, null, new byte[0]);
      for (PictureFormat format : PictureFormat.values()) {
        Path file = folder.resolve("d." + format.ending());
        PictureWriter.write(Strips.of(Pictures.flat(3, 2, 0, 0, 0)), format, 95, data, file);
        assertThat(PictureReader.read(file).width()).isEqualTo(3);
      }
    }
  }
}

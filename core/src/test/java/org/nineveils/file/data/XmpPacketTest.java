package org.nineveils.file.data;

import static org.assertj.core.api.Assertions.assertThat;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.xmp.XmpDirectory;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Strips;
import org.nineveils.testing.Pictures;

/** What a packet tells and keeps, read back by a library of others (metadata-extractor). */
class XmpPacketTest {
  private static final String HEAD =
      """
      <?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>\
      <x:xmpmeta xmlns:x="adobe:ns:meta/"><r:RDF xmlns:r="http://www.w3.org/1999/02/22-rdf-syntax-ns#" \
      xmlns:ext="http://iptc.org/std/Iptc4xmpExt/2008-02-29/" xmlns:core="http://iptc.org/std/Iptc4xmpCore/1.0/xmlns/" \
      xmlns:e="http://ns.adobe.com/exif/1.0/" xmlns:ps="http://ns.adobe.com/photoshop/1.0/" \
      xmlns:cam="http://cipa.jp/exif/1.0/" xmlns:aux2="http://ns.adobe.com/exif/1.0/aux/" \
      xmlns:t="http://ns.adobe.com/tiff/1.0/" xmlns:own="http://example.org/own/1/" \
      xmlns:dc="http://purl.org/dc/elements/1.1/">""";
  private static final String TAIL =
      "<r:Description r:about=''><dc:rights><r:Alt><r:li xml:lang='x-default'>All kept</r:li></r:Alt></dc:rights>"
          + "</r:Description></r:RDF></x:xmpmeta>   \n  <?xpacket end=\"w\"?>";

  @TempDir Path folder;

  private static byte[] packet(String inside) {
    return (HEAD + inside + TAIL).getBytes(StandardCharsets.UTF_8);
  }

  /** Properties of a result, as the library of others reads them. */
  private Map<String, String> properties(PhotoData data) throws Exception {
    Path file = folder.resolve("out.jpg");
    PictureWriter.write(
        Strips.of(Pictures.random(16, 12, 1)),
        PictureFormat.JPEG,
        90,
        data.trueOf(16, 12, true),
        file);
    byte[] bytes = Files.readAllBytes(file);
    XmpDirectory xmp =
        ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes))
            .getFirstDirectoryOfType(XmpDirectory.class);
    return xmp == null ? Map.of() : xmp.getXmpProperties();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<r:Description r:about='' ps:City='SECRET' ps:State=\"SECRET\"/>",
        "<r:Description r:about=''><ps:City>SECRET</ps:City><core:Location>SECRET</core:Location></r:Description>",
        "<r:Description r:about=''><ps:City>SEC<!-- x -->RET</ps:City></r:Description>",
        "<r:Description r:about=''><core:CountryCode><![CDATA[SECRET]]></core:CountryCode></r:Description>",
        "<r:Description r:about='' e:GPSLatitude='SECRET' e:GPSAltitudeRef='SECRET'/>",
        "<r:Description r:about=''><e:GPSLatitude xmlns:e='http://ns.adobe.com/exif/1.0/'>SECRET</e:GPSLatitude></r:Description>",
        "<r:Description r:about=''><GPSLongitude xmlns='http://ns.adobe.com/exif/1.0/'>SECRET</GPSLongitude></r:Description>",
        "<r:Description r:about=''><ext:LocationCreated><r:Bag><r:li r:parseType='Resource'><ext:City>SECRET</ext:City>"
            + "<ext:Sublocation>SECRET</ext:Sublocation></r:li></r:Bag></ext:LocationCreated></r:Description>",
        "<r:Description r:about=''><ext:LocationShown><r:Bag><r:li ext:City='SECRET' e:GPSLatitude='SECRET'/></r:Bag>"
            + "</ext:LocationShown></r:Description>",
        "<r:Description r:about=''><ext:LocationCreated r:parseType='Resource'><ext:Other>SECRET</ext:Other>"
            + "</ext:LocationCreated></r:Description>",
        "<r:Description r:about=''><own:Trip><r:Seq><r:li r:parseType='Resource'><own:Stop r:parseType='Resource'>"
            + "<own:Latitude>SECRET</own:Latitude><own:GpsLongitude>SECRET</own:GpsLongitude></own:Stop></r:li></r:Seq>"
            + "</own:Trip></r:Description>",
        "<r:Description r:about='' cam:BodySerialNumber='SECRET' aux2:SerialNumber='SECRET' cam:CameraOwnerName='SECRET'/>",
        "<r:Description r:about=''><aux2:LensSerialNumber r:parseType='Literal'><b>SECRET</b></aux2:LensSerialNumber></r:Description>",
        "<r:Description r:about=''><dc:coverage>SECRET</dc:coverage></r:Description>"
      })
  void noPlaceOrNumberLeavesUnderAnyPrefixOrAtAnyDepth(String inside) throws Exception {
    PhotoData found = new PhotoData(null, packet(inside), null, null);
    assertThat(new String(found.discreet().xmp, StandardCharsets.UTF_8))
        .doesNotContain("SECRET", "RET</");
    assertThat(properties(found.discreet()))
        .containsValue("All kept")
        .noneSatisfy((name, value) -> assertThat(value).contains("SECRET"));
  }

  @Test
  void aPacketThatCannotBeReadDoesNotLeaveWhereThatIsWanted() {
    byte[] broken = "<x:xmpmeta><ps:City>SECRET</x:xmpmeta>".getBytes(StandardCharsets.UTF_8);
    byte[] deep = packet("<own:a>".repeat(5000) + "SECRET" + "</own:a>".repeat(5000));
    byte[] typed =
        ("<!DOCTYPE x [<!ENTITY a 'SECRET'>]>" + new String(packet("&a;"), StandardCharsets.UTF_8))
            .getBytes(StandardCharsets.UTF_8);
    for (byte[] packet : new byte[][] {broken, deep, typed}) {
      PhotoData found = new PhotoData(null, packet, null, null);
      assertThat(found.discreet().xmp).isNull();
      assertThat(found.trueOf(8, 8, true).xmp).isEqualTo(packet);
    }
  }

  @Test
  void anUprightResultSaysSoUnderAnyPrefix() throws Exception {
    PhotoData found =
        new PhotoData(null, packet("<r:Description r:about='' t:Orientation='6'/>"), null, null);
    assertThat(properties(found)).containsEntry("tiff:Orientation", "1");
  }

  @Test
  void captionsFillWhatAPacketLacksAndReplaceNothing() throws Exception {
    byte[] captions =
        Captions.segment(
            new byte[] {
              0x1c,
              2,
              116,
              0,
              3,
              'N',
              'e',
              'w', // rights, which the packet has
              0x1c,
              2,
              120,
              0,
              5,
              'W',
              'o',
              'o',
              'l',
              '&', // description
              0x1c,
              2,
              25,
              0,
              1,
              'a',
              0x1c,
              2,
              25,
              0,
              1,
              'b', // keywords
              0x1c,
              2,
              90,
              0,
              1,
              'H', // city
              0x1c,
              2,
              55,
              0,
              8,
              '2',
              '0',
              '2',
              '6',
              '0',
              '5',
              '0',
              '4' // date
            });
    Path file = folder.resolve("out.png");
    PictureWriter.write(
        Strips.of(Pictures.random(16, 12, 1)),
        PictureFormat.PNG,
        90,
        new PhotoData(null, packet(""), captions, null),
        file);
    Map<String, String> all =
        ImageMetadataReader.readMetadata(file.toFile())
            .getFirstDirectoryOfType(XmpDirectory.class)
            .getXmpProperties();
    assertThat(all)
        .containsEntry("dc:rights[1]", "All kept")
        .containsEntry("dc:description[1]", "Wool&")
        .containsEntry("dc:subject[2]", "b")
        .containsEntry("photoshop:City", "H")
        .containsEntry("photoshop:DateCreated", "2026-05-04");
  }
}

package org.nineveils.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.colour.Srgb;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Tiffs;

/** Depths, colour spaces, transparency and formats that come from elsewhere. */
class PictureInputsTest {
  @TempDir Path folder;

  private static byte[] png(Picture picture, byte[]... chunks) {
    byte[] png = PictureWriter.png16(picture);
    byte[] bare = PngChunks.pixels(png);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(bare, 0, 33);
    for (byte[] chunk : chunks) {
      out.writeBytes(chunk);
    }
    out.write(bare, 33, bare.length - 33);
    return out.toByteArray();
  }

  private static byte[] chunk(String type, byte[] body) {
    ByteBuffer chunk = ByteBuffer.allocate(body.length + 12);
    chunk.putInt(body.length).put(type.getBytes(StandardCharsets.US_ASCII)).put(body);
    CRC32 crc = new CRC32();
    crc.update(chunk.array(), 4, body.length + 4);
    return chunk.putInt((int) crc.getValue()).array();
  }

  private static Picture flat(double r, double g, double b) {
    Picture p = Picture.blank(16, 16);
    for (int i = 0; i < 256; i++) {
      p.r()[i] = (float) r;
      p.g()[i] = (float) g;
      p.b()[i] = (float) b;
    }
    return p;
  }

  private static void isGreen(Picture read) {
    assertThat((double) read.r()[0]).isCloseTo(0, within(0.012));
    assertThat((double) read.g()[0]).isCloseTo(128 / 255.0, within(0.004));
    assertThat((double) read.b()[0]).isCloseTo(0, within(0.012));
  }

  /**
   * The CSS colour green, #008000, in other spaces, as the W3C's web platform tests of CSS Color 4
   * write it (css/css-color, “display-p3-001”, “rec2020-001”; from memory).
   */
  @ParameterizedTest
  @CsvSource({"12, 13, 0.21604, 0.49418, 0.13151", "9, 14, 0.235202, 0.431704, 0.085432"})
  void aPngNamesItsSpaceByCodes(int primaries, int transfer, double r, double g, double b) {
    byte[] coded = {(byte) primaries, (byte) transfer, 0, 1};
    isGreen(PictureReader.read(png(flat(r, g, b), chunk("cICP", coded)), "p.png"));
  }

  /** The same source, “a98rgb-001”; cameras name that space by the tag 2 and by “R03”. */
  @Test
  void aCameraNamesItsSpaceByATag() {
    byte[] plain = PictureWriter.jpeg(flat(0.281363, 0.498012, 0.116746), 1f);
    byte[] bare = withoutProfile(plain);
    ByteBuffer exif = ByteBuffer.allocate(4 + 6 + 8 + 18 + 18).order(ByteOrder.LITTLE_ENDIAN);
    exif.order(ByteOrder.BIG_ENDIAN).putShort((short) 0xffe1).putShort((short) (2 + 6 + 8 + 36));
    exif.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII)).order(ByteOrder.LITTLE_ENDIAN);
    exif.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
    exif.putShort((short) 1).putShort((short) 0x8769).putShort((short) 4).putInt(1).putInt(26);
    exif.putInt(0);
    exif.putShort((short) 1).putShort((short) 0xA001).putShort((short) 3).putInt(1).putInt(2);
    exif.putInt(0);
    byte[] tagged = new byte[bare.length + exif.capacity()];
    System.arraycopy(bare, 0, tagged, 0, 2);
    System.arraycopy(exif.array(), 0, tagged, 2, exif.capacity());
    System.arraycopy(bare, 2, tagged, 2 + exif.capacity(), bare.length - 2);
    isGreen(PictureReader.read(tagged, "camera.jpg"));
    assertThat((double) PictureReader.read(bare, "plain.jpg").r()[0]).isCloseTo(0.28, within(0.02));
  }

  /** A JPEG of ours without its APP2 segments. */
  private static byte[] withoutProfile(byte[] jpeg) {
    ByteBuffer in = ByteBuffer.wrap(jpeg);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(jpeg, 0, 2);
    int at = 2;
    while ((jpeg[at + 1] & 255) != 0xda) {
      int length = 2 + (in.getShort(at + 2) & 0xffff);
      if ((jpeg[at + 1] & 255) != 0xe2) {
        out.write(jpeg, at, length);
      }
      at += length;
    }
    out.write(jpeg, at, jpeg.length - at);
    return out.toByteArray();
  }

  /** PNG, third edition, 11.3.2.2: gAMA 100000 is linear light. */
  @Test
  void aPngNamesItsGamma() {
    byte[] gamma = ByteBuffer.allocate(4).putInt(100_000).array();
    Picture read = PictureReader.read(png(flat(0.2, 0.5, 0.9), chunk("gAMA", gamma)), "linear.png");
    assertThat((double) read.r()[0]).isCloseTo(Srgb.encode(0.2), within(1e-4));
    assertThat((double) read.b()[0]).isCloseTo(Srgb.encode(0.9), within(1e-4));
    byte[] both = png(flat(0.2, 0.5, 0.9), chunk("sRGB", new byte[1]), chunk("gAMA", gamma));
    assertThat((double) PictureReader.read(both, "s.png").r()[0]).isCloseTo(0.2, within(1e-4));
  }

  @Test
  void lightBeyondWhiteIsRefusedInWords() {
    byte[] file = png(flat(0.5, 0.5, 0.5), chunk("cICP", new byte[] {9, 16, 0, 1}));
    assertThatThrownBy(() -> PictureReader.read(file, "hdr.png"))
        .isInstanceOf(PictureException.class)
        .hasMessageContaining("“hdr.png”")
        .hasMessageContaining("beyond white");
  }

  /** A hundred megabytes of spaces packed into a hundred kilobytes, twice. */
  @Test
  void packedTextOfAPngIsNotUnpacked() {
    Deflater deflater = new Deflater();
    byte[] spaces = new byte[100_000_000];
    deflater.setInput(spaces);
    deflater.finish();
    byte[] packed = new byte[200_000];
    int n = deflater.deflate(packed);
    ByteBuffer body =
        ByteBuffer.allocate(6 + n).put("Note\0\0".getBytes(StandardCharsets.US_ASCII));
    byte[] text = chunk("zTXt", body.put(packed, 0, n).array());
    byte[] file = png(flat(0.1, 0.2, 0.3), text, text);
    assertThat(PngChunks.pixels(file).length).isLessThan(2000);
    assertThat((double) PictureReader.read(file, "note.png").g()[0]).isCloseTo(0.2, within(1e-4));
  }

  /**
   * A TIFF of 2 × 1 pixels, uncompressed (TIFF 6.0).
   *
   * @param bits of a sample
   * @param format 1 for whole numbers, 3 for floats
   */
  private static byte[] tiff(int bits, int format, byte[] samples) {
    int[][] tags = {
      {256, 3, 1, 2}, {257, 3, 1, 1}, {258, 3, 3, 0}, {259, 3, 1, 1}, {262, 3, 1, 2},
      {273, 4, 1, 0}, {277, 3, 1, 3}, {278, 3, 1, 1}, {279, 4, 1, samples.length}, {339, 3, 3, 0}
    };
    int after = 8 + 2 + 12 * tags.length + 4;
    ByteBuffer out =
        ByteBuffer.allocate(after + 12 + samples.length).order(ByteOrder.LITTLE_ENDIAN);
    out.put((byte) 'I')
        .put((byte) 'I')
        .putShort((short) 42)
        .putInt(8)
        .putShort((short) tags.length);
    for (int[] t : tags) {
      int value = t[3];
      if (t[0] == 258) value = after;
      if (t[0] == 339) value = after + 6;
      if (t[0] == 273) value = after + 12;
      out.putShort((short) t[0]).putShort((short) t[1]).putInt(t[2]).putInt(value);
    }
    out.putInt(0);
    for (int i = 0; i < 3; i++) out.putShort((short) bits);
    for (int i = 0; i < 3; i++) out.putShort((short) format);
    return out.put(samples).array();
  }

  @Test
  void twelveBitsKeepTheirDepth() {
    int[] codes = {4095, 0, 2049, 1, 2, 3};
    byte[] packed = new byte[9];
    for (int i = 0; i < 6; i++) {
      for (int k = 0; k < 12; k++) {
        int bit = 12 * i + k;
        packed[bit / 8] |= (byte) ((codes[i] >> (11 - k) & 1) << (7 - bit % 8));
      }
    }
    Picture read = PictureReader.read(tiff(12, 1, packed), "twelve.tif");
    float[] values = {read.r()[0], read.g()[0], read.b()[0], read.r()[1], read.g()[1], read.b()[1]};
    for (int i = 0; i < 6; i++) {
      assertThat((double) values[i]).isCloseTo(codes[i] / 4095.0, within(5e-5));
    }
  }

  @Test
  void floatsKeepTheirDepthAndStayWithinTheRange() {
    float[] values = {0.1234567f, 1.5f, -0.2f, 0.5f, 0.00005f, 1};
    ByteBuffer samples = ByteBuffer.allocate(24).order(ByteOrder.LITTLE_ENDIAN);
    for (float v : values) {
      samples.putFloat(v);
    }
    Picture read = PictureReader.read(tiff(32, 3, samples.array()), "float.tif");
    assertThat(read.r()).containsExactly(0.1234567f, 0.5f);
    assertThat(read.g()).containsExactly(1, 0.00005f);
    assertThat(read.b()).containsExactly(0, 1);
  }

  /**
   * Files written by Chromium's encoder (libwebp); columns of rgb(10 i, 255 − 10 i, 128), under a
   * profile.
   */
  @Test
  void webpIsRead() {
    Picture read = PictureReader.read(Path.of("src/test/resources/pictures/columns-lossless.webp"));
    assertThat(read.width()).isEqualTo(24);
    for (int i = 0; i < 24; i++) {
      assertThat((double) read.r()[24 * 5 + i]).isCloseTo(10 * i / 255.0, within(0.005));
      assertThat((double) read.g()[24 * 5 + i]).isCloseTo((255 - 10 * i) / 255.0, within(0.005));
    }
    Picture lossy = PictureReader.read(Path.of("src/test/resources/pictures/columns-lossy.webp"));
    assertThat((double) lossy.r()[64 * 20 + 32]).isCloseTo(128 / 255.0, within(0.02));
  }

  @Test
  void whatOfAPictureIsThereIsToldApart() throws IOException {
    BufferedImage image = new BufferedImage(2, 1, BufferedImage.TYPE_INT_ARGB);
    image.setRGB(0, 0, 0x40ff0000);
    image.setRGB(1, 0, 0xff00ff00);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    Optional<Picture> cover = PictureReader.cover(out.toByteArray(), "t.png");
    assertThat(cover).isPresent();
    assertThat(cover.get().r()).containsExactly(0x40 / 255f, 1);
    assertThat(PictureReader.cover(PictureWriter.png16(flat(1, 0, 0)), "o.png")).isEmpty();
  }

  private static void isColour(Picture read, double r, double g, double b) {
    assertThat(new double[] {read.r()[5], read.g()[5], read.b()[5]})
        .usingComparatorWithPrecision(1.5 / 255)
        .containsExactly(r / 255, g / 255, b / 255);
  }

  /**
   * TIFF 6.0, section 18: what is premultiplied lies over white by adding the white that is left.
   */
  @ParameterizedTest
  @CsvSource({"100, 50, 20, 128", "0, 0, 0, 0", "7, 5, 3, 10", "200, 100, 50, 255"})
  void aPremultipliedTiffLiesOverWhite(int r, int g, int b, int a) {
    int left = 255 - a;
    isColour(
        PictureReader.read(Tiffs.flat(8, 2, 338, 1, r, g, b, a), "p.tif"),
        r + left,
        g + left,
        b + left);
    double part = a / 255.0;
    isColour(
        PictureReader.read(Tiffs.flat(8, 2, 338, 2, r, g, b, a), "s.tif"),
        r * part + left,
        g * part + left,
        b * part + left);
  }

  /** CSS Color Module Level 5, device-cmyk: 1 − min(1, c · (1 − k) + k). */
  @ParameterizedTest
  @CsvSource({
    "0, 0, 0, 0, 255, 255, 255",
    "255, 0, 0, 0, 0, 255, 255",
    "0, 0, 0, 255, 0, 0, 0",
    "51, 102, 0, 51, 163.2, 122.4, 204"
  })
  void inksWithoutAProfileAreInks(int c, int m, int y, int k, double r, double g, double b) {
    isColour(PictureReader.read(Tiffs.flat(8, 5, 0, 0, c, m, y, k), "inks.tif"), r, g, b);
  }

  @Test
  void otherInksAreNotTakenForColours() {
    assertThatThrownBy(() -> PictureReader.read(Tiffs.flat(8, 5, 332, 2, 1, 2, 3, 4), "spot.tif"))
        .isInstanceOf(PictureException.class)
        .hasMessageStartingWith("“spot.tif”");
  }

  /** The reference decoder of the format, as Debian carries it (package webp). */
  @ParameterizedTest
  @ValueSource(ints = {50, 80, 95})
  void lossyWebpIsWhatTheReferenceDecoderMakesOfIt(int quality) throws Exception {
    assumeTrue(
        Files.isExecutable(Path.of("/usr/bin/cwebp"))
            && Files.isExecutable(Path.of("/usr/bin/dwebp")),
        "the reference decoder is missing: apt-get install webp");
    Path photo = Path.of("../demo/photos/pet-ginger-cat.jpg");
    Path lossy = folder.resolve("lossy.webp");
    Path reference = folder.resolve("reference.png");
    run("cwebp", "-quiet", "-q", String.valueOf(quality), photo.toString(), "-o", lossy.toString());
    run("dwebp", "-quiet", lossy.toString(), "-o", reference.toString());
    Picture ours = PictureReader.read(lossy);
    Picture theirs = PictureReader.read(reference);
    for (int part = 0; part < 4; part++) { // the error of a wrong decoder grows along the picture
      double sum = 0;
      int n = ours.r().length / 4;
      int looked = 0;
      for (int i = part * n; i < (part + 1) * n; i += 3) {
        sum += Ciede2000.between(lab(ours, i), lab(theirs, i));
        looked++;
      }
      assertThat(sum / looked).as("quarter %d", part).isLessThan(0.8);
    }
  }

  private static Lab lab(Picture p, int i) {
    return Lab.ofSrgb(p.r()[i], p.g()[i], p.b()[i]);
  }

  private static void run(String... command) throws Exception {
    assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
  }
}

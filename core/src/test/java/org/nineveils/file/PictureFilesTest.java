package org.nineveils.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.colour.Srgb;
import org.nineveils.file.data.PhotoData;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.picture.Scaling;
import org.nineveils.picture.Strips;
import org.nineveils.testing.InStrips;
import org.nineveils.testing.Pictures;

class PictureFilesTest {
  private static final Path PHOTO = Path.of("../demo/photos/pet-ginger-cat.jpg");

  private static byte[] encoded(BufferedImage image, String format) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    assertThat(ImageIO.write(image, format, out)).isTrue();
    return out.toByteArray();
  }

  @Test
  void eightBitPngComesBackAsWritten() {
    Picture picture = Pictures.random(37, 23, 1);
    Picture back = PictureReader.read(PictureWriter.write(picture, PictureFormat.PNG), "a.png");
    assertThat(Pictures.farthest(picture, back)).isLessThan(1.0 / 255); // dithered
    assertThat(
            Pictures.same(
                back, PictureReader.read(PictureWriter.write(back, PictureFormat.PNG), "b")))
        .isTrue();
  }

  @Test
  void tiffKeepsSixteenBits() {
    Picture picture = Pictures.random(41, 19, 2);
    Picture back = PictureReader.read(PictureWriter.write(picture, PictureFormat.TIFF), "a.tif");
    assertThat(Pictures.farthest(picture, back)).isLessThanOrEqualTo(0.5 / 65535 + 1e-6);
  }

  /** A step of half a code over 200 pixels was two flat bands. */
  @Test
  void eightBitsKeepAGradientBelowOneCodeInTheMean() {
    Picture ramp = Picture.blank(200, 100);
    for (float[] plane : new float[][] {ramp.r(), ramp.g(), ramp.b()}) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = (100 + i % 200 / 200f) / 255;
      }
    }
    Picture back = PictureReader.read(PictureWriter.write(ramp, PictureFormat.PNG), "a.png");
    for (int from = 0; from < 200; from += 20) {
      double mean = 0;
      for (int i = 0; i < 100 * 20; i++) {
        mean += back.g()[i / 20 * 200 + from + i % 20] * 255 / 2000;
      }
      assertThat(mean).isEqualTo(100 + (from + 9.5) / 200, within(0.06));
    }
    byte[] again = PictureWriter.write(ramp, PictureFormat.PNG);
    assertThat(again).as("always the same").isEqualTo(PictureWriter.write(ramp, PictureFormat.PNG));
    assertThat(back.r()).isEqualTo(back.b());
  }

  /** ITU-T T.81, B.2.2: in the frame header H and V of each component stand in one byte. */
  @Test
  void aResultAsJpegHasItsColourAtFullSize() {
    Picture red = Picture.blank(64, 64);
    for (int i = 0; i < 64 * 64; i++) {
      red.r()[i] = i % 2;
    }
    byte[] file = PictureWriter.write(red, PictureFormat.JPEG);
    int sof = 0;
    while ((file[sof] & 255) != 0xff || (file[sof + 1] & 255) != 0xc0) {
      sof++;
    }
    for (int component = 0; component < 3; component++) {
      assertThat(file[sof + 11 + 3 * component]).isEqualTo((byte) 0x11);
    }
    Picture back = PictureReader.read(file, "a.jpg");
    assertThat(back.r()[64 * 30 + 31] - back.r()[64 * 30 + 30]).isGreaterThan(0.8f);
  }

  @ParameterizedTest
  @EnumSource(PictureFormat.class)
  void inStripsAFileIsTheSame(PictureFormat format, @TempDir Path folder) throws IOException {
    Picture whole = Pictures.random(90, 70, 8);
    Strips strips = new InStrips(whole, 16);
    Path file = folder.resolve("out." + format.ending());
    PictureWriter.write(strips, format, PictureFormat.QUALITY, PhotoData.NONE, file);
    assertThat(Files.readAllBytes(file)).isEqualTo(PictureWriter.write(whole, format));
    assertThat(folder.toFile().list()).hasSize(1);
  }

  @Test
  void jpegAtResultQualityIsCloseOnAPhoto() {
    Picture photo = Scaling.toLongSide(PictureReader.read(PHOTO), 600);
    Picture back = PictureReader.read(PictureWriter.write(photo, PictureFormat.JPEG), "a.jpg");
    double sum = 0;
    for (int i = 0; i < photo.g().length; i++) {
      sum += Math.abs(photo.g()[i] - back.g()[i]);
    }
    assertThat(sum / photo.g().length).isLessThan(0.006);
  }

  /** ICC.1:2022, 7.2: a profile has “acsp” at byte 36; ours must be found whole in every file. */
  @ParameterizedTest
  @EnumSource(PictureFormat.class)
  void everyResultCarriesAnSrgbProfile(PictureFormat format) throws IOException {
    byte[] file = PictureWriter.write(Pictures.random(20, 10, 3), format);
    byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
    if (format.ending().equals("png")) {
      assertThat(Profiles.ofPng(file).getData()).isEqualTo(profile);
    } else {
      String all = new String(file, StandardCharsets.ISO_8859_1);
      assertThat(all).contains(new String(profile, StandardCharsets.ISO_8859_1));
    }
    BufferedImage image = ImageIO.read(new java.io.ByteArrayInputStream(file));
    assertThat(image.getWidth()).isEqualTo(20);
  }

  /** Exif 2.32, tag 0x0112: where the stored top left corner belongs, for each of the eight. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
  void exifOrientationIsApplied(int orientation) throws IOException {
    BufferedImage image = new BufferedImage(64, 32, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.GRAY);
    g.fillRect(0, 0, 64, 32);
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, 16, 16);
    g.dispose();
    Picture upright =
        PictureReader.read(withOrientation(encoded(image, "jpeg"), orientation), "o.jpg");
    boolean turned = orientation >= 5;
    assertThat(upright.width()).isEqualTo(turned ? 32 : 64);
    int right = upright.width() - 5;
    int bottom = upright.height() - 5;
    int[][] corners = {
      {4, 4},
      {right, 4},
      {right, bottom},
      {4, bottom},
      {4, 4},
      {right, 4},
      {right, bottom},
      {4, bottom}
    };
    for (int[] corner : new int[][] {{4, 4}, {right, 4}, {right, bottom}, {4, bottom}}) {
      float v = upright.g()[corner[1] * upright.width() + corner[0]];
      boolean white = Arrays.equals(corner, corners[orientation - 1]);
      assertThat(v > 0.8).as("corner %s", Arrays.toString(corner)).isEqualTo(white);
    }
  }

  private static byte[] withOrientation(byte[] jpeg, int orientation) {
    ByteBuffer exif = ByteBuffer.allocate(36);
    exif.put((byte) 0xff).put((byte) 0xe1).putShort((short) 34);
    exif.put("Exif\0\0MM\0*".getBytes(StandardCharsets.ISO_8859_1)).putInt(8);
    exif.putShort((short) 1).putShort((short) 0x0112).putShort((short) 3).putInt(1);
    exif.putShort((short) orientation).putShort((short) 0).putInt(0);
    byte[] out = new byte[jpeg.length + 36];
    System.arraycopy(jpeg, 0, out, 0, 2);
    System.arraycopy(exif.array(), 0, out, 2, 36);
    System.arraycopy(jpeg, 2, out, 38, jpeg.length - 2);
    return out;
  }

  /** A PNG tagged with linear light must come out encoded by the sRGB curve (IEC 61966-2-1). */
  @Test
  void anEmbeddedPngProfileIsConvertedToSrgb() throws IOException {
    BufferedImage image = new BufferedImage(3, 1, BufferedImage.TYPE_INT_RGB);
    int[] codes = {20, 90, 200};
    for (int i = 0; i < 3; i++) {
      image.setRGB(i, 0, new Color(codes[i], codes[i], codes[i]).getRGB());
    }
    byte[] linear = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    Picture read = PictureReader.read(withProfile(encoded(image, "png"), linear), "linear.png");
    for (int i = 0; i < 3; i++) {
      assertThat((double) read.g()[i]).isCloseTo(Srgb.encode(codes[i] / 255.0), within(0.004));
    }
  }

  /** The same for a JPEG, whose profile stands in APP2 segments (ICC.1:2022, Annex B.4). */
  @Test
  void anEmbeddedJpegProfileIsConvertedToSrgb() throws IOException {
    BufferedImage image = new BufferedImage(48, 16, BufferedImage.TYPE_INT_RGB);
    int[] codes = {30, 110, 210};
    for (int x = 0; x < 48; x++) {
      for (int y = 0; y < 16; y++) {
        image.setRGB(x, y, new Color(codes[x / 16], codes[x / 16], codes[x / 16]).getRGB());
      }
    }
    byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    byte[] jpeg = encoded(image, "jpeg");
    ByteBuffer tagged = ByteBuffer.allocate(jpeg.length + profile.length + 18);
    tagged
        .put(jpeg, 0, 2)
        .put((byte) 0xff)
        .put((byte) 0xe2)
        .putShort((short) (16 + profile.length));
    tagged.put("ICC_PROFILE\0\1\1".getBytes(StandardCharsets.ISO_8859_1)).put(profile);
    tagged.put(jpeg, 2, jpeg.length - 2);
    Picture read = PictureReader.read(tagged.array(), "linear.jpg");
    for (int i = 0; i < 3; i++) {
      double seen = read.g()[8 * 48 + 16 * i + 8];
      assertThat(seen).isCloseTo(Srgb.encode(codes[i] / 255.0), within(0.01));
    }
  }

  private static byte[] withProfile(byte[] png, byte[] profile) {
    Deflater deflater = new Deflater();
    deflater.setInput(profile);
    deflater.finish();
    byte[] packed = new byte[profile.length + 100];
    int n = deflater.deflate(packed);
    ByteBuffer chunk = ByteBuffer.allocate(12 + 4 + n);
    chunk.putInt(4 + n).put("iCCPab\0\0".getBytes(StandardCharsets.ISO_8859_1)).put(packed, 0, n);
    CRC32 crc = new CRC32();
    crc.update(chunk.array(), 4, 8 + n);
    chunk.putInt((int) crc.getValue());
    byte[] out = new byte[png.length + 16 + n];
    System.arraycopy(png, 0, out, 0, 33);
    System.arraycopy(chunk.array(), 0, out, 33, 16 + n);
    System.arraycopy(png, 33, out, 49 + n, png.length - 33);
    return out;
  }

  @Test
  void transparencyIsLaidOverWhite() throws IOException {
    BufferedImage image = new BufferedImage(2, 1, BufferedImage.TYPE_INT_ARGB);
    image.setRGB(0, 0, 0x00ff0000);
    image.setRGB(1, 0, 0x80000000);
    Picture read = PictureReader.read(encoded(image, "png"), "t.png");
    assertThat(read.r()[0]).isEqualTo(1);
    assertThat(read.b()[0]).isEqualTo(1);
    assertThat(read.g()[1]).isCloseTo(1 - 128 / 255f, within(0.005f));
  }

  @Test
  void untaggedGreyIsTakenAsEncoded() throws IOException {
    BufferedImage image = new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY);
    image.getRaster().setSample(0, 0, 0, 100);
    Picture read = PictureReader.read(encoded(image, "png"), "g.png");
    assertThat(read.r()[0]).isCloseTo(100 / 255f, within(1e-6f));
    assertThat(read.b()[0]).isEqualTo(read.r()[0]);
  }

  @Test
  void aTextFileNamedJpgIsRefusedByName() {
    byte[] text = "Dear maker, this is no picture.".getBytes(StandardCharsets.UTF_8);
    assertThatThrownBy(() -> PictureReader.read(text, "holiday.jpg"))
        .isInstanceOf(PictureException.class)
        .hasMessage(
            "“holiday.jpg” is not a JPEG, PNG, TIFF or WebP picture, whatever its name says.");
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.02, 0.3, 0.7, 0.98})
  void aTruncatedJpegIsRefused(double share) throws IOException {
    byte[] whole = Files.readAllBytes(PHOTO);
    byte[] cut = Arrays.copyOf(whole, (int) (whole.length * share));
    assertThatThrownBy(() -> PictureReader.read(cut, "cut.jpg"))
        .isInstanceOf(PictureException.class)
        .hasMessageContaining("“cut.jpg” is damaged or cut short");
  }

  @Test
  void aTruncatedPngOrTiffIsRefused() {
    for (PictureFormat format : new PictureFormat[] {PictureFormat.PNG, PictureFormat.TIFF}) {
      byte[] whole = PictureWriter.write(Pictures.random(90, 90, 4), format);
      byte[] cut = Arrays.copyOf(whole, whole.length / 2);
      assertThatThrownBy(() -> PictureReader.read(cut, "cut"))
          .isInstanceOf(PictureException.class)
          .hasMessageContaining("“cut”");
    }
  }

  /** Refused by its header, before 2.7 GB of pixels are asked for. */
  @Test
  void aHugeHeaderIsRefusedBeforeAPixelIsDecoded() {
    ByteBuffer png = ByteBuffer.allocate(57);
    png.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'}).putInt(13);
    png.put("IHDR".getBytes(StandardCharsets.US_ASCII)).putInt(30_000).putInt(30_000);
    png.put(new byte[] {8, 2, 0, 0, 0});
    CRC32 crc = new CRC32();
    crc.update(png.array(), 12, 17);
    png.putInt((int) crc.getValue());
    png.putInt(0).put("IDAT".getBytes(StandardCharsets.US_ASCII)).putInt(0x35af061e);
    assertThatThrownBy(() -> PictureReader.read(png.array(), "huge.png"))
        .isInstanceOf(PictureException.class)
        .hasMessageContaining("30000 × 30000")
        .hasMessageContaining("64 megapixels");
  }

  /** A higher quality is nearer, and larger. */
  @Test
  void theQualityOfAJpegIsChosen(@TempDir Path folder) throws IOException {
    Picture photo = Scaling.toLongSide(Pictures.photo("portrait-light-skin-studio"), 400);
    double[] far = new double[3];
    long[] bytes = new long[3];
    int[] qualities = {60, 85, 100};
    for (int i = 0; i < 3; i++) {
      Path file = folder.resolve(i + ".jpg");
      PictureWriter.write(Strips.of(photo), PictureFormat.JPEG, qualities[i], PhotoData.NONE, file);
      bytes[i] = Files.size(file);
      Picture back = PictureReader.read(file);
      for (int k = 0; k < back.g().length; k++) {
        far[i] += Math.abs(back.g()[k] - photo.g()[k]);
      }
    }
    assertThat(bytes[0]).isLessThan(bytes[1]).isLessThan(bytes[2]);
    assertThat(far[0]).isGreaterThan(far[1]).isGreaterThan(far[2]);
    assertThatThrownBy(() -> PictureFormat.checkQuality(20)).hasMessageContaining("50 and 100");
  }

  @Test
  void sixteenBitsOfAPngComeBack() {
    Picture picture = Pictures.random(30, 20, 5);
    Picture back =
        PictureReader.read(PictureWriter.write(picture, PictureFormat.PNG_16), "deep.png");
    assertThat(Pictures.farthest(picture, back)).isLessThan(1 / 65535.0);
    assertThatThrownBy(() -> PictureFormat.ofId("gif"))
        .hasMessageContaining("PNG, 16 bits")
        .hasMessageContaining("“gif”");
  }

  @Test
  void anUnknownEndingToWriteIsRefusedWithTheOnesThereAre() {
    assertThatThrownBy(() -> PictureFormat.ofName("out.bmp"))
        .hasMessageContaining("“out.bmp”")
        .hasMessageContaining(".jpg, .png, .tif");
    assertThat(PictureFormat.ofName("A.TIFF")).isEqualTo(PictureFormat.TIFF);
  }

  @Test
  void scalingDownKeepsTheMean() {
    Picture picture = Pictures.random(317, 211, 5);
    Picture small = Scaling.toLongSide(picture, 100);
    assertThat(small.longSide()).isEqualTo(100);
    assertThat(mean(small.r())).isCloseTo(mean(picture.r()), within(0.002));
    assertThat(Scaling.toLongSide(picture, 1000)).isSameAs(picture);
  }

  private static double mean(float[] plane) {
    double sum = 0;
    for (float v : plane) {
      sum += v;
    }
    return sum / plane.length;
  }

  @Test
  void quantisingRoundsHalfUpLimitsAndTakesNaNForBlack() {
    assertThat(Quantise.to8(0.5f)).isEqualTo(128);
    assertThat(Quantise.to8(2)).isEqualTo(255);
    assertThat(Quantise.to8(Float.NaN)).isZero();
    assertThat(Quantise.to16(-1)).isZero();
    assertThat(Quantise.to16(1)).isEqualTo(65535);
  }
}

package org.nineveils.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.colour.Matrix3;
import org.nineveils.colour.Srgb;
import org.nineveils.file.data.PhotoData;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;

/**
 * Raw files are developed to the colours that their mosaic holds. The files are written here by the
 * Digital Negative Specification 1.6: a camera whose primaries are those of sRGB, under D65, whose
 * neutral is grey.
 */
class RawFileTest {
  private static final int SIDE = 240;
  private static final int PATCHES = 4;

  /** sRGB, encoded 0…1, row by row; from dark skin to near white. */
  private static final float[][] COLOURS = {
    {0.45f, 0.32f, 0.27f}, {0.76f, 0.59f, 0.51f}, {0.36f, 0.48f, 0.61f}, {0.35f, 0.42f, 0.26f},
    {0.51f, 0.50f, 0.69f}, {0.40f, 0.74f, 0.67f}, {0.84f, 0.49f, 0.17f}, {0.28f, 0.36f, 0.64f},
    {0.75f, 0.35f, 0.39f}, {0.36f, 0.24f, 0.42f}, {0.62f, 0.74f, 0.25f}, {0.88f, 0.64f, 0.18f},
    {0.94f, 0.94f, 0.94f}, {0.63f, 0.63f, 0.63f}, {0.48f, 0.48f, 0.48f}, {0.20f, 0.20f, 0.20f},
  };

  private static float[] colour(int x, int y) {
    return COLOURS[y * PATCHES / SIDE * PATCHES + x * PATCHES / SIDE];
  }

  /** A directory being written; values longer than four bytes follow it. */
  private static final class Tiff {
    private final ByteBuffer head = ByteBuffer.allocate(1024).order(ByteOrder.LITTLE_ENDIAN);
    private final ByteArrayOutputStream tail = new ByteArrayOutputStream();
    private final int fields;
    private int written;

    Tiff(int fields) {
      this.fields = fields;
      head.put("II*\0".getBytes(StandardCharsets.ISO_8859_1)).putInt(8).putShort((short) fields);
    }

    private int tailAt() {
      return 8 + 2 + 12 * fields + 4;
    }

    void field(int tag, int type, int count, byte[] value) {
      head.putShort((short) tag).putShort((short) type).putInt(count);
      if (value.length <= 4) {
        head.put(Arrays.copyOf(value, 4));
      } else {
        head.putInt(tailAt() + tail.size());
        tail.writeBytes(Arrays.copyOf(value, value.length + value.length % 2));
      }
      written++;
    }

    void number(int tag, int type, int value) {
      field(
          tag,
          type,
          1,
          ByteBuffer.allocate(4).order(ByteOrder.LITTLE_ENDIAN).putInt(value).array());
    }

    void rationals(int tag, int type, double... values) {
      ByteBuffer out = ByteBuffer.allocate(8 * values.length).order(ByteOrder.LITTLE_ENDIAN);
      for (double v : values) {
        out.putInt((int) Math.round(v * 1_000_000)).putInt(1_000_000);
      }
      field(tag, type, values.length, out.array());
    }

    /** The file; the last field's value is the mosaic. */
    byte[] bytes() {
      assertThat(written).isEqualTo(fields);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      head.putInt(0);
      out.write(head.array(), 0, head.position());
      out.writeBytes(tail.toByteArray());
      return out.toByteArray();
    }
  }

  private static byte[] text(String words) {
    return (words + "\0").getBytes(StandardCharsets.US_ASCII);
  }

  private static byte[] dng(int orientation) {
    Matrix3 toCamera = Srgb.fromXyz();
    Tiff tiff = new Tiff(22);
    tiff.number(254, 4, 0);
    tiff.number(256, 4, SIDE);
    tiff.number(257, 4, SIDE);
    tiff.number(258, 3, 16);
    tiff.number(259, 3, 1);
    tiff.number(262, 3, 32803);
    tiff.field(271, 2, 6, text("Maker"));
    tiff.field(272, 2, 7, text("Body 1"));
    int mosaicField = tiff.head.position();
    tiff.number(273, 4, 0);
    tiff.number(274, 3, orientation);
    tiff.number(277, 3, 1);
    tiff.number(278, 4, SIDE);
    tiff.number(279, 4, 2 * SIDE * SIDE);
    tiff.field(306, 2, 20, text("2026:11:03 09:30:00"));
    tiff.field(33421, 3, 2, new byte[] {2, 0, 2, 0});
    tiff.field(33422, 1, 4, new byte[] {0, 1, 1, 2});
    tiff.field(50706, 1, 4, new byte[] {1, 4, 0, 0});
    tiff.field(50708, 2, 7, text("Body 1"));
    tiff.number(50717, 3, 65535);
    tiff.rationals(50721, 10, toCamera.rows());
    tiff.rationals(50728, 5, 1, 1, 1);
    tiff.number(50778, 3, 21);
    byte[] mosaic = mosaic();
    tiff.head.putInt(mosaicField + 8, tiff.tailAt() + tiff.tail.size());
    tiff.tail.writeBytes(mosaic);
    return tiff.bytes();
  }

  private static byte[] mosaic() {
    ByteBuffer out = ByteBuffer.allocate(2 * SIDE * SIDE).order(ByteOrder.LITTLE_ENDIAN);
    for (int y = 0; y < SIDE; y++) {
      for (int x = 0; x < SIDE; x++) {
        int channel = y % 2 + x % 2;
        out.putShort((short) Math.round(65535 * Srgb.decode(colour(x, y)[channel])));
      }
    }
    return out.array();
  }

  private static List<String> leftBehind() throws IOException {
    try (Stream<Path> all = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
      return all.map(p -> p.getFileName().toString())
          .filter(n -> n.startsWith("nine-veils-raw"))
          .toList();
    }
  }

  @Test
  void theColoursOfTheMosaicComeOutAndOneFileAlwaysGivesTheSamePixels() throws IOException {
    byte[] file = dng(1);
    Picture photo = PictureReader.read(file, "raw");
    assertThat(photo.width()).isBetween(SIDE - 16, SIDE);
    int patch = SIDE / PATCHES;
    int shift = (SIDE - photo.width()) / 2;
    for (int row = 0; row < PATCHES; row++) {
      for (int column = 0; column < PATCHES; column++) {
        int x = column * patch + patch / 2 - shift;
        int y = row * patch + patch / 2 - shift;
        int i = y * photo.width() + x;
        float[] want = COLOURS[row * PATCHES + column];
        Lab made = Lab.ofSrgb(photo.r()[i], photo.g()[i], photo.b()[i]);
        assertThat(Ciede2000.between(Lab.ofSrgb(want[0], want[1], want[2]), made))
            .as("patch %d, %d", column, row)
            .isLessThanOrEqualTo(2);
      }
    }
    assertThat(PictureReader.read(file, "raw").g()).isEqualTo(photo.g());
    assertThat(leftBehind()).isEmpty();
  }

  @Test
  void itIsTurnedUprightOnceAndKeepsItsOwnData() {
    Picture turned = PictureReader.read(dng(6), "raw");
    int last = turned.width() - 12;
    int corner = 12 * turned.width() + last; // what lay left above lies right above
    assertThat(turned.g()[corner])
        .isCloseTo(COLOURS[0][1], org.assertj.core.data.Offset.offset(0.03f));
    PhotoData data = PhotoData.of(dng(6));
    assertThat(data.taken()).contains(LocalDate.of(2026, 11, 3));
    assertThat(OutSpace.of(SpaceChoice.OWN, dng(1)).isSrgb()).isTrue();
  }

  @Test
  void aDamagedOneIsRefusedAndNothingIsLeftBehind() throws IOException {
    byte[] whole = dng(1);
    for (int length : new int[] {300, whole.length / 2}) {
      assertThatThrownBy(() -> PictureReader.read(Arrays.copyOf(whole, length), "torn"))
          .isInstanceOf(PictureException.class)
          .hasMessageContaining("“torn” is a camera's raw file that cannot be developed");
    }
    byte[] noise = "FUJIFILMCCD-RAW and nothing more".getBytes(StandardCharsets.US_ASCII);
    assertThatThrownBy(() -> PictureReader.read(noise, "odd")).isInstanceOf(PictureException.class);
    assertThat(leftBehind()).isEmpty();
  }

  @Test
  void withoutTheToolOneSentenceSaysWhatToInstall() {
    System.setProperty("nineveils.dcraw", "no-such-tool");
    try {
      assertThatThrownBy(() -> PictureReader.read(dng(1), "raw"))
          .isInstanceOf(PictureException.class)
          .hasMessageContaining("apt-get install libraw-bin");
    } finally {
      System.clearProperty("nineveils.dcraw");
    }
  }

  @Test
  void picturesThatAreNoRawFilesAreNotTakenForThem() {
    for (PictureFormat format : PictureFormat.values()) {
      assertThat(RawMark.isRaw(PictureWriter.write(Pictures.random(20, 10, 3), format))).isFalse();
    }
    assertThat(PictureReader.isNamed("IMG_1.NEF")).isTrue();
    assertThat(PictureReader.isNamed("notes.txt")).isFalse();
  }
}

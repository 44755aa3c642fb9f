package org.nineveils.file.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import org.junit.jupiter.api.Test;
import org.nineveils.file.PictureException;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.InputLimits;
import org.nineveils.testing.Pictures;

/**
 * A stranger's photo data: fields that name the same bytes, directories that hang on one another.
 */
class TagLimitsTest {
  private static final int FIELDS = 450;

  /**
   * Directories of that many fields that all name one run of bytes, each hanging on the one before.
   */
  private static byte[] block(int directories, int bytes) {
    int size = 2 + 12 * (FIELDS + 1) + 4;
    int values = 8 + directories * size;
    ByteBuffer b = ByteBuffer.allocate(values + bytes).order(ByteOrder.LITTLE_ENDIAN);
    b.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
    for (int d = 0; d < directories; d++) {
      b.putShort((short) (FIELDS + 1));
      for (int i = 0; i < FIELDS; i++) {
        b.putShort((short) (0x9000 + i)).putShort((short) 7).putInt(bytes).putInt(values);
      }
      int next = d + 1 < directories ? 8 + (d + 1) * size : 8;
      b.putShort((short) Directory.EXIF).putShort((short) 4).putInt(1).putInt(next).putInt(0);
    }
    return b.array();
  }

  private static byte[] png(byte[] exif) {
    byte[] plain = PictureWriter.write(Pictures.flat(20, 10, 0.5, 0.4, 0.3), PictureFormat.PNG);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(plain, 0, 33); // signature and IHDR: PNG, third edition, 5.2 and 11.2.1
    byte[] type = "eXIf".getBytes(StandardCharsets.US_ASCII);
    CRC32 crc = new CRC32();
    crc.update(type);
    crc.update(exif);
    out.writeBytes(ByteBuffer.allocate(4).putInt(exif.length).array());
    out.writeBytes(type);
    out.writeBytes(exif);
    out.writeBytes(ByteBuffer.allocate(4).putInt((int) crc.getValue()).array());
    out.write(plain, 33, plain.length - 33);
    return out.toByteArray();
  }

  private static int held(Directory d) {
    int sum = d.fields().values().stream().mapToInt(f -> f.bytes().length).sum();
    return sum + d.below().values().stream().mapToInt(TagLimitsTest::held).sum();
  }

  private static int depth(Directory d) {
    return 1 + d.below().values().stream().mapToInt(TagLimitsTest::depth).max().orElse(0);
  }

  /** 271 KB took 112 MB, 490 KB with 40 directories 4 GB. */
  @Test
  void whatIsKeptOfAPhotosDataIsBoundedHoweverItsFieldsAreLaidOut() {
    for (int directories : new int[] {1, 40}) {
      byte[] block = block(directories, 250_000);
      Directory read = Directory.read(block);
      assertThat(held(read)).isBetween(250_000, InputLimits.TAG_BYTES);
      assertThat(depth(read)).isLessThanOrEqualTo(InputLimits.TAG_NESTING + 1);
      Picture picture = PictureReader.read(png(block), "given.png");
      assertThat(picture.width()).as("its pixels are sound").isEqualTo(20);
    }
  }

  /** A TIFF of 527 KB whose directories hang on one another overflowed the stack. */
  @Test
  void directoriesWithoutEndAreNoFaultOfOurs() {
    int many = 30_000;
    ByteBuffer b = ByteBuffer.allocate(8 + many * 18).order(ByteOrder.LITTLE_ENDIAN);
    b.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8);
    for (int i = 0; i < many; i++) {
      b.putShort((short) 1).putShort((short) Directory.EXIF).putShort((short) 4).putInt(1);
      b.putInt(8 + (i + 1) % many * 18).putInt(0);
    }
    assertThatCode(() -> PhotoData.of(b.array())).doesNotThrowAnyException();
    assertThatCode(() -> PictureReader.read(b.array(), "given.tif"))
        .isInstanceOf(PictureException.class)
        .hasMessageContaining("given.tif");
  }

  /** What a decoder makes of it is bounded too. */
  @Test
  void aTiffOfManyFieldsThatNameTheSameBytesTakesLittle() {
    com.sun.management.ThreadMXBean threads =
        (com.sun.management.ThreadMXBean) java.lang.management.ManagementFactory.getThreadMXBean();
    byte[] tiff = block(40, 250_000);
    long before = threads.getCurrentThreadAllocatedBytes();
    assertThatCode(() -> PictureReader.read(tiff, "given.tif"))
        .isInstanceOf(PictureException.class);
    long taken = threads.getCurrentThreadAllocatedBytes() - before;
    assertThat(taken).isLessThan(30_000_000);
  }
}

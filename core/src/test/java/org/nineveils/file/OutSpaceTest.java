package org.nineveils.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.nineveils.file.data.PhotoData;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;
import org.nineveils.testing.Pictures;

/** Results in other spaces than sRGB show the same colours. */
class OutSpaceTest {
  @TempDir private Path folder;

  private byte[] written(Picture picture, PictureFormat format, OutSpace space) throws IOException {
    Path file = folder.resolve("out" + format.suffix());
    PictureWriter.write(Strips.of(picture), format, 100, space, PhotoData.NONE, file);
    return Files.readAllBytes(file);
  }

  /**
   * Red of sRGB in Display P3: CSS Color Module Level 4, 10.3 and its sample code (from memory).
   */
  @Test
  void redOfSrgbLiesInsideTheWiderSpace() {
    Picture red = NamedSpace.DISPLAY_P3.fromSrgb(Pictures.flat(1, 1, 1, 0, 0));
    assertThat(red.r()[0]).isCloseTo(0.91749f, within(2e-4f));
    assertThat(red.g()[0]).isCloseTo(0.20029f, within(2e-4f));
    assertThat(red.b()[0]).isCloseTo(0.13856f, within(2e-4f));
  }

  /** All but the head, in which the JDK's colour engine writes its own name. */
  private static int tags(byte[] profile) {
    return Arrays.hashCode(Arrays.copyOfRange(profile, 128, profile.length));
  }

  @ParameterizedTest
  @EnumSource(PictureFormat.class)
  void aWideResultIsReadBackByItsProfileAsItWas(PictureFormat format) throws IOException {
    Picture picture = Pictures.flat(16, 16, 0.8, 0.3, 0.1);
    byte[] file = written(picture, format, OutSpace.of(SpaceChoice.DISPLAY_P3, null));
    ICC_Profile inside = PictureReader.profile(file).orElseThrow();
    assertThat(tags(inside.getData())).isEqualTo(tags(MatrixProfile.displayP3()));
    Picture back = PictureReader.read(file, "a");
    float codes = format == PictureFormat.JPEG || format == PictureFormat.PNG ? 3 / 255f : 0.0005f;
    assertThat(back.r()[40]).isCloseTo(picture.r()[40], within(codes));
    assertThat(back.g()[40]).isCloseTo(picture.g()[40], within(codes));
    assertThat(back.b()[40]).isCloseTo(picture.b()[40], within(codes));
  }

  @ParameterizedTest
  @EnumSource(PictureFormat.class)
  void aPhotoKeepsTheSpaceThatItCameIn(PictureFormat format) throws IOException {
    Picture picture = Pictures.flat(16, 16, 0.2, 0.6, 0.4);
    byte[] photo = written(picture, format, OutSpace.of(SpaceChoice.DISPLAY_P3, null));
    OutSpace own = OutSpace.of(SpaceChoice.OWN, photo);
    assertThat(tags(own.profile())).isEqualTo(tags(MatrixProfile.displayP3()));
    Picture back = PictureReader.read(written(picture, PictureFormat.TIFF, own), "a");
    assertThat(back.g()[7]).isCloseTo(0.6f, within(0.0005f));
    byte[] plain = PictureWriter.write(picture, format);
    assertThat(OutSpace.of(SpaceChoice.OWN, plain).isSrgb()).isTrue();
    assertThat(OutSpace.of(SpaceChoice.OWN, new byte[] {1, 2}).isSrgb()).isTrue();
    assertThatThrownBy(() -> SpaceChoice.ofId("cmyk")).hasMessageContaining("“cmyk”");
  }

  /** The JDK's colour engine reads the profile; the formulas are ours. */
  @Test
  void theProfileOfCamerasSaysWhatItsFormulasSay() {
    ColorSpace read = new ICC_ColorSpace(ICC_Profile.getInstance(MatrixProfile.opRgb()));
    Picture sample = Pictures.flat(1, 1, 0.7, 0.5, 0.3);
    Picture ours = NamedSpace.OP_RGB.toSrgb(sample);
    float[] theirs = read.toRGB(new float[] {0.7f, 0.5f, 0.3f});
    assertThat(theirs[0]).isCloseTo(ours.r()[0], within(0.003f));
    assertThat(theirs[1]).isCloseTo(ours.g()[0], within(0.003f));
    assertThat(theirs[2]).isCloseTo(ours.b()[0], within(0.003f));
    Picture back = NamedSpace.OP_RGB.fromSrgb(ours);
    assertThat(back.r()[0]).isCloseTo(0.7f, within(0.0005f));
  }

  @Test
  void aProfileLargerThanASegmentIsWrittenInSeveral() throws IOException {
    byte[] large = MatrixProfile.displayP3("wide ".repeat(15_000));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (Inserting tagged =
        new Inserting(out, ProfileTag.JPEG_HEAD, ProfileTag.jpegSegments(large))) {
      PictureWriter.untagged(Pictures.flat(8, 8, 0.5, 0.5, 0.5), 0.9f, tagged);
    }
    assertThat(PictureReader.profile(out.toByteArray()).orElseThrow().getData())
        .hasSizeGreaterThan(2 * 65_535);
  }
}

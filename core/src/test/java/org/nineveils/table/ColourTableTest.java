package org.nineveils.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;

/** Tables by the Cube LUT Specification, version 1.0, and as pictures. */
class ColourTableTest {
  private static final String SHA = "ab".repeat(32);

  /** The example of the specification's kind: two entries an axis, red running fastest. */
  private static final String INVERTING =
      """
      # made for this test
      TITLE "Inverting"
      LUT_3D_SIZE 2
      DOMAIN_MIN 0.0 0.0 0.0
      DOMAIN_MAX 1.0 1.0 1.0
      1 1 1
      0 1 1
      1 0 1
      0 0 1
      1 1 0
      0 1 0
      1 0 0
      0 0 0
      """;

  private static String identity(int side) {
    StringBuilder text = new StringBuilder("LUT_3D_SIZE " + side + "\n");
    double last = side - 1.0;
    for (int b = 0; b < side; b++) {
      for (int g = 0; g < side; g++) {
        for (int r = 0; r < side; r++) {
          text.append(r / last)
              .append(' ')
              .append(g / last)
              .append(' ')
              .append(b / last)
              .append('\n');
        }
      }
    }
    return text.toString();
  }

  private static Picture through(Picture photo, Picture table, Map<String, ?> more) {
    Map<String, Object> settings = new java.util.HashMap<>(more);
    settings.put("table", SHA);
    Manner manner =
        Manner.exact().picturesFrom(sha -> Optional.of(table).filter(t -> sha.equals(SHA)));
    Stack stack = Stack.of(Bundle.of(List.of(Pictures.veil("colour", settings))));
    return Renderer.render(photo, photo.area(), stack, manner);
  }

  @Test
  void redRunsFastest() {
    Picture table = CubeFile.read(INVERTING.replace("1 1 1\n0 1 1", "1 1 1\n0.25 0.5 0.75"), "x");
    Picture red = through(Pictures.flat(2, 2, 1, 0, 0), table, Map.of());
    assertThat(List.of(red.r()[0], red.g()[0], red.b()[0])).containsExactly(0.25f, 0.5f, 0.75f);
  }

  @Test
  void aTableThatTurnsColoursRoundIsExactBetweenItsEntries() {
    Picture photo = Pictures.random(40, 30, 3);
    Picture out = through(photo, CubeFile.read(INVERTING, "x"), Map.of());
    for (int i = 0; i < photo.r().length; i++) {
      assertThat(out.g()[i])
          .isCloseTo(1 - photo.g()[i], org.assertj.core.api.Assertions.within(1e-5f));
    }
  }

  @Test
  void theTableThatChangesNothingLeavesEveryColour() {
    Picture photo = Pictures.random(60, 40, 4);
    for (int side : new int[] {2, 17, 33}) {
      Picture out = through(photo, CubeFile.read(identity(side), "x"), Map.of());
      assertThat(Pictures.farthest(photo, out)).isLessThan(1e-5);
    }
  }

  /** A square picture of level 3 (27 × 27) has nine entries an axis, in the same order. */
  @Test
  void aSquareTablePictureIsTheSameAsTheText() {
    Picture strip = CubeFile.read(identity(9), "x");
    Picture square = new Picture(27, 27, strip.r(), strip.g(), strip.b());
    Picture photo = Pictures.random(50, 50, 9);
    Picture a = through(photo, strip, Map.of("saturation", 30));
    assertThat(Pictures.same(a, through(photo, square, Map.of("saturation", 30)))).isTrue();
  }

  /** Tiles of one blue each, eight in a row: read in order, they would turn colours upside down. */
  @Test
  void aTableInTilesIsKnownByItsColoursAndPutInOrder() {
    Picture order = CubeFile.read(identity(16), "x");
    Picture tiles = Picture.blank(64, 64);
    for (int i = 0; i < 16 * 16 * 16; i++) {
      int r = i % 16;
      int g = i / 16 % 16;
      int b = i / 256;
      int at = (b / 4 * 16 + g) * 64 + b % 4 * 16 + r;
      tiles.r()[at] = order.r()[i];
      tiles.g()[at] = order.g()[i];
      tiles.b()[at] = order.b()[i];
    }
    Picture square = new Picture(64, 64, order.r(), order.g(), order.b());
    assertThat(ColourTable.ordered(square, "x")).isEqualTo(square);
    assertThat(ColourTable.ordered(tiles, "x").r()).isEqualTo(order.r());
    assertThat(ColourTable.ordered(tiles, "x").b()).isEqualTo(order.b());
    assertThatIllegalArgumentException()
        .isThrownBy(() -> ColourTable.ordered(Pictures.random(64, 64, 3), "noise.png"))
        .withMessageContaining("“noise.png”")
        .withMessageContaining("how the entries are laid out");
  }

  @Test
  void marksCommentsAndTheOlderRangeAreRead() {
    String text = INVERTING.replace("1 0 1", "1 0 1 # magenta");
    String older = text.replace("LUT_3D_SIZE 2", "LUT_3D_SIZE 2\nLUT_3D_INPUT_RANGE 0.0 1.0");
    Picture table = CubeFile.read("\uFEFF" + older, "x");
    assertThat(table.r()).isEqualTo(CubeFile.read(INVERTING, "x").r());
  }

  @Test
  void keptAsAPictureATableLosesNoMoreThanSixteenBits() {
    Picture table = Pictures.random(17 * 17, 17, 11);
    Picture back = PictureReader.read(PictureWriter.png16(table), "table.png");
    assertThat(Pictures.farthest(table, back)).isLessThanOrEqualTo(0.5 / 65535 + 1e-7);
    assertThat(ColourTable.side(back)).contains(17);
  }

  @Test
  void theAmountLessensItAndTheOtherSettingsComeAfter() {
    Picture photo = Pictures.flat(2, 2, 0.8, 0.4, 0.2);
    Picture half = through(photo, CubeFile.read(INVERTING, "x"), Map.of("tableAmount", 25));
    assertThat(half.r()[0]).isCloseTo(0.65f, org.assertj.core.api.Assertions.within(1e-5f));
    Picture grey = through(photo, CubeFile.read(INVERTING, "x"), Map.of("saturation", -100));
    assertThat(grey.r()[0]).isCloseTo(grey.b()[0], org.assertj.core.api.Assertions.within(2e-3f));
  }

  @Test
  void aPictureThatIsNoTableChangesNothing() {
    Picture photo = Pictures.random(30, 20, 6);
    assertThat(ColourTable.side(Pictures.random(80, 50, 1))).isEmpty();
    assertThat(Pictures.same(photo, through(photo, Pictures.random(80, 50, 1), Map.of()))).isTrue();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "LUT_3D_SIZE 2|LUT_3D_SIZE 900|line 3: the size must be 2 to 65",
        "LUT_3D_SIZE 2|LUT_1D_SIZE 2|line 3: it is a table of one axis",
        "LUT_3D_SIZE 2|# none|line 6: “1” stands where a keyword must be",
        "1 0 1|1 zero 1|line 8: “zero” is no number",
        "1 0 1|1 0|line 8: three numbers must stand here",
        "0 0 0|0 0 0\\n0 0 0|line 14: there are more entries",
        "DOMAIN_MAX 1.0|DOMAIN_MAX 4.0|line 5: only tables over 0 to 1",
        "LUT_3D_SIZE 2|LUT_3D_SIZE 2\\nLUT_3D_SIZE 3|line 4: the size is given a second time",
        "LUT_3D_SIZE 2|LUT_3D_INPUT_RANGE 0 2|line 3: only tables over 0 to 1",
        "0 1 0|# gone|has 7 entries, but a table of 2 × 2 × 2 has 8"
      })
  void faultsAreNamedWithTheirLine(String from, String to, String says) {
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                CubeFile.read(
                    INVERTING.replaceFirst("(?m)^" + from, to.replace("\\n", "\n")), "warm.cube"))
        .withMessageContaining("“warm.cube”")
        .withMessageContaining(says);
  }
}

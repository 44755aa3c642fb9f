package org.nineveils.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.Refusal;

/** Common LUT Format, ASC/AMPAS S-2014-006, from memory; expected values by its formulas. */
class ClfFileTest {
  private static Picture read(String nodes) {
    String file =
        "<?xml version=\"1.0\"?><ProcessList xmlns=\"urn:AMPAS:CLF:v3.0\" id=\"t\" compCLFversion=\"3.0\">"
            + nodes
            + "</ProcessList>";
    return ClfFile.read(file.getBytes(StandardCharsets.UTF_8), "t.clf");
  }

  /** Red, green and blue of what a grey or colour on the lattice of 65 becomes. */
  private static double[] at(Picture table, int r, int g, int b) {
    int i = (b * 65 + g) * 65 + r;
    return new double[] {table.r()[i], table.g()[i], table.b()[i]};
  }

  private static void same(double[] is, double... wanted) {
    for (int c = 0; c < 3; c++) {
      assertThat(is[c]).isCloseTo(wanted[c], within(1e-6));
    }
  }

  @Test
  void aSingleTableIsTakenAsItIsWithBlueRunningFastest() {
    Picture table =
        read(
            "<LUT3D inBitDepth=\"32f\" outBitDepth=\"10i\" interpolation=\"tetrahedral\"><Array dim=\"2 2 2 3\">"
                + "0 0 0  0 0 1023  0 1023 0  0 1023 1023  1023 0 0  1023 0 1023  1023 1023 0  512 1023 1023"
                + "</Array></LUT3D>");
    assertThat(table.width()).isEqualTo(4);
    assertThat(new float[] {table.r()[1], table.g()[1], table.b()[1]})
        .as("red is on")
        .containsExactly(1, 0, 0);
    assertThat(table.b()[4]).as("blue is on").isEqualTo(1);
    assertThat(table.r()[7]).isCloseTo(512f / 1023, within(1e-6f));
  }

  /** Red is the product of red and green at the corners: the two ways differ between them. */
  @Test
  void aTableThatSaysNothingOfItsBetweensIsTrilinear() {
    String product = "<Array dim=\"2 2 2 3\">" + "0 0 0  ".repeat(6) + "1 0 0  1 0 0</Array>";
    for (String said : new String[] {"", " interpolation=\"trilinear\""}) {
      Picture table = read("<LUT3D" + said + ">" + product + "</LUT3D>");
      same(at(table, 16, 32, 5), 0.25 * 0.5, 0, 0);
    }
    Picture four = read("<LUT3D interpolation=\"tetrahedral\">" + product + "</LUT3D>");
    assertThat(four.width()).as("as it is: the engine's tables are tetrahedral").isEqualTo(4);
    Picture after =
        read(
            "<Matrix><Array dim=\"3 3\">1 0 0  0 1 0  0 0 1</Array></Matrix><LUT3D interpolation=\"tetrahedral\">"
                + product
                + "</LUT3D>");
    same(at(after, 16, 32, 5), 0.25, 0, 0);
    assertThatThrownBy(() -> read("<Range/>"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Range has no bounds");
    assertThatThrownBy(() -> read("<LUT3D interpolation=\"cubic\">" + product + "</LUT3D>"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("LUT3D");
  }

  @Test
  void aCurveIsStraightBetweenItsEntriesInTheCodesThatItSays() {
    Picture one =
        read(
            "<LUT1D inBitDepth=\"8i\" outBitDepth=\"8i\"><Array dim=\"3 1\">0 51 255</Array></LUT1D>");
    same(at(one, 16, 32, 48), 0.1, 0.2, 0.6);
    Picture three =
        read("<LUT1D outBitDepth=\"32f\"><Array dim=\"2 3\">0 0.5 1  1 0.5 0</Array></LUT1D>");
    same(at(three, 16, 0, 16), 0.25, 0.5, 0.75);
  }

  @Test
  void stepsFollowOneAnotherMatrixRangeAndColourDecisions() {
    Picture matrix =
        read(
            "<Matrix inBitDepth=\"32f\" outBitDepth=\"32f\"><Array dim=\"3 4\">0 1 0 0.1  1 0 0 0  0 0 0.5 0</Array></Matrix>"
                + "<Range><minInValue>0.1</minInValue><maxInValue>0.6</maxInValue><minOutValue>0</minOutValue><maxOutValue>1</maxOutValue></Range>");
    same(at(matrix, 64, 16, 64), 0.5, 1, 0.8);
    Picture cdl =
        read(
            "<ASC_CDL style=\"Fwd\"><SOPNode><Slope>1 1 1</Slope><Offset>0.25 0 0</Offset><Power>2 1 1</Power></SOPNode><SatNode><Saturation>0</Saturation></SatNode></ASC_CDL>");
    double luma = 0.2126 * 0.25 + 0.7152 * 0.5 + 0.0722 * 1;
    same(at(cdl, 16, 32, 64), luma, luma, luma);
  }

  @Test
  void whatIsNotUnderstoodOrTornIsRefusedNamingIt() {
    assertThatThrownBy(() -> read("<Log style=\"log10\"/>"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("“t.clf”: Log is not understood");
    assertThatThrownBy(() -> read("")).hasMessageContaining("nothing that changes a colour");
    assertThatThrownBy(() -> read("<LUT3D><Array dim=\"2 2 2 3\">0 0 0</Array></LUT3D>"))
        .hasMessageContaining("LUT3D has 3 numbers");
    assertThatThrownBy(() -> read("<LUT1D><Array dim=\"2 1\">0 x</Array></LUT1D>"))
        .hasMessageContaining("no number");
    assertThatThrownBy(() -> read("<LUT1D>")).hasMessageContaining("its XML cannot be read");
    String bomb = "<!DOCTYPE x [<!ENTITY a \"b\">]><ProcessList>&a;</ProcessList>";
    assertThatThrownBy(() -> ClfFile.read(bomb.getBytes(StandardCharsets.UTF_8), "t.clf"))
        .isInstanceOf(Refusal.class);
  }
}

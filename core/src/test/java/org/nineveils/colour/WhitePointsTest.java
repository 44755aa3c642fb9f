package org.nineveils.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.testing.CheckValues;

class WhitePointsTest {
  /** ASTM E308 white points (2° observer) of the illuminants, X and Z for Y = 1; from memory. */
  private static final Map<String, double[]> WHITES =
      Map.of(
          "A", new double[] {1.09850, 0.35585},
          "C", new double[] {0.98074, 1.18232},
          "D50", new double[] {0.96422, 0.82521},
          "D55", new double[] {0.95682, 0.92149},
          "D65", new double[] {0.95047, 1.08883},
          "D75", new double[] {0.94972, 1.22638},
          "E", new double[] {1, 1});

  private static Chromaticity white(String name) {
    double[] xz = WHITES.get(name);
    double sum = xz[0] + 1 + xz[1];
    return new Chromaticity(xz[0] / sum, 1 / sum);
  }

  /** check-values/bradford_cat.csv, each pair checked there against Little CMS. */
  @Test
  void bradfordAgreesWithThePublishedMatrices() {
    var rows = CheckValues.table("bradford_cat.csv");
    assertThat(rows).hasSize(42);
    for (var row : rows) {
      double[] ours = Bradford.adapt(white(row.text("from")), white(row.text("to"))).rows();
      for (int i = 0; i < 9; i++) {
        assertThat(ours[i])
            .as("%s to %s, entry %d", row.text("from"), row.text("to"), i)
            .isCloseTo(row.number("m" + i / 3 + i % 3), within(1e-5));
      }
    }
  }

  @Test
  void adaptationTakesOneWhiteToTheOther() {
    Chromaticity warm = Chromaticity.blackBody(3200);
    double[] from = Chromaticity.D65.toXyz();
    double[] there = Bradford.adapt(Chromaticity.D65, warm).apply(from[0], from[1], from[2]);
    assertThat(there).containsExactly(warm.toXyz(), within(1e-9));
  }

  /** check-values/cct.csv: Planck's law summed over the 1931 observer, and the fit's own values. */
  @Test
  void blackBodyFollowsPlanck() {
    for (var row : CheckValues.table("cct.csv")) {
      Chromaticity c = Chromaticity.blackBody(row.number("T_K"));
      assertThat(c.x()).isCloseTo(row.number("planck_x"), within(0.0006));
      assertThat(c.y()).isCloseTo(row.number("planck_y"), within(0.0006));
      assertThat(c.x()).isCloseTo(row.number("kang_x"), within(1e-5));
    }
  }

  @Test
  void uniformCoordinatesComeBack() {
    Chromaticity c = new Chromaticity(0.31, 0.33);
    Chromaticity back = Chromaticity.ofUv(c.u(), c.v());
    assertThat(back.x()).isCloseTo(c.x(), within(1e-12));
    assertThat(back.y()).isCloseTo(c.y(), within(1e-12));
  }

  @Test
  void refusesTemperaturesOutsideTheFit() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Chromaticity.blackBody(1200))
        .withMessageContaining("1667 to 25000 K")
        .withMessageContaining("1200");
  }

  @Test
  void anInverseUndoesItsMatrix() {
    double[] unit = Srgb.toXyz().after(Srgb.fromXyz()).rows();
    assertThat(unit).containsExactly(new double[] {1, 0, 0, 0, 1, 0, 0, 0, 1}, within(1e-12));
  }
}

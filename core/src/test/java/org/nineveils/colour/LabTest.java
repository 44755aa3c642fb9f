package org.nineveils.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.nineveils.testing.CheckValues;

class LabTest {
  private static Lab of(CheckValues.Row row, String suffix) {
    return new Lab(row.number("L" + suffix), row.number("a" + suffix), row.number("b" + suffix));
  }

  /** check-values/srgb_to_lab.csv: Little CMS to its four decimals, colorjs.io to all of them. */
  @Test
  void srgbToLabAgreesWithLittleCmsAndWithAnIndependentLibrary() {
    for (CheckValues.Row row : CheckValues.table("srgb_to_lab.csv")) {
      Lab ours = Lab.ofSrgb(row.number("r") / 255, row.number("g") / 255, row.number("b") / 255);
      Lab lcms = of(row, "_lab50_lcms");
      Lab colorjs = of(row, "_lab50_cjs");
      assertThat(ours.l()).as(row.text("hex")).isCloseTo(lcms.l(), within(0.02));
      assertThat(ours.a()).as(row.text("hex")).isCloseTo(lcms.a(), within(0.02));
      assertThat(ours.b()).as(row.text("hex")).isCloseTo(lcms.b(), within(0.02));
      assertThat(Math.abs(ours.a() - colorjs.a()) + Math.abs(ours.b() - colorjs.b()))
          .as(row.text("hex"))
          .isLessThan(0.01);
    }
  }

  /** check-values/chart24_lab_d50.csv: published patches, and their sRGB by Little CMS. */
  @Test
  void thePatchesOfTheReferenceChartComeOutAsLittleCmsHasThem() {
    for (CheckValues.Row row : CheckValues.table("chart24_lab_d50.csv")) {
      double[] rgb = of(row, "").toSrgb();
      String[] columns = {"R_srgb_lcms", "G_srgb_lcms", "B_srgb_lcms"};
      for (int c = 0; c < 3; c++) {
        double expected = row.number(columns[c]) / 255;
        if (expected >= 0) { // beyond the gamut, libraries go on in different ways
          assertThat(rgb[c]).as(row.text("name")).isCloseTo(expected, within(0.002));
        }
      }
    }
  }

  @Test
  void toSrgbIsTheInverse() {
    for (CheckValues.Row row : CheckValues.table("srgb_to_lab.csv")) {
      double r = row.number("r") / 255;
      double b = row.number("b") / 255;
      double[] back = Lab.ofSrgb(r, row.number("g") / 255, b).toSrgb();
      assertThat(back[0]).isCloseTo(r, within(1e-9));
      assertThat(back[2]).isCloseTo(b, within(1e-9));
    }
  }
}

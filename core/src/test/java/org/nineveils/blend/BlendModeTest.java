package org.nineveils.blend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.nineveils.kernel.Band;
import org.nineveils.setting.InvalidSetting;
import org.nineveils.testing.CheckValues;

class BlendModeTest {
  private static double[] blend(BlendMode mode, double[] backdrop, double[] source) {
    Band b = band(backdrop);
    Band out = new Band();
    mode.blend(b, band(source), out, 1);
    return new double[] {out.r[0], out.g[0], out.b[0]};
  }

  private static Band band(double[] rgb) {
    Band band = new Band();
    band.r[0] = (float) rgb[0];
    band.g[0] = (float) rgb[1];
    band.b[0] = (float) rgb[2];
    return band;
  }

  /**
   * W3C Compositing and Blending Level 1: the standard's formulas and a browser's float canvas, in
   * check-values/blend_modes_w3c.csv.
   */
  @ParameterizedTest
  @EnumSource(BlendMode.class)
  void agreesWithTheStandardAndAnIndependentImplementation(BlendMode mode) {
    int checked = 0;
    for (var row : CheckValues.table("blend_modes_w3c.csv")) {
      if (!row.text("mode").equals(mode.id())
          || row.number("b_a") < 255
          || row.number("s_a") < 255) {
        continue;
      }
      double[] ours = blend(mode, rgb(row, "b_"), rgb(row, "s_"));
      double[] spec = rgb(row, "spec_");
      double[] browser = rgb(row, "chromium_f16_");
      double browserWithin =
          mode == BlendMode.COLOR_DODGE || mode == BlendMode.COLOR_BURN ? 0.8 : 0.25;
      for (int c = 0; c < 3; c++) {
        assertThat(ours[c]).as("pair %s", row.text("pair")).isCloseTo(spec[c], within(0.01 / 255));
        assertThat(ours[c]).isCloseTo(browser[c], within(browserWithin / 255));
      }
      checked++;
    }
    assertThat(checked).isGreaterThanOrEqualTo(30);
  }

  private static double[] rgb(CheckValues.Row row, String prefix) {
    return new double[] {
      row.number(prefix + "r") / 255, row.number(prefix + "g") / 255, row.number(prefix + "b") / 255
    };
  }

  @ParameterizedTest
  @EnumSource(BlendMode.class)
  void staysWithinBlackAndWhite(BlendMode mode) {
    Random random = new Random(7);
    for (int i = 0; i < 4000; i++) {
      double[] b = {corner(random), corner(random), corner(random)};
      double[] s = {corner(random), corner(random), corner(random)};
      for (double v : blend(mode, b, s)) {
        assertThat(v).isBetween(0.0, 1.0);
      }
    }
  }

  /** Often exactly black or white, where divisions are dangerous. */
  private static double corner(Random random) {
    double v = random.nextDouble() * 1.6 - 0.3;
    return Math.min(1, Math.max(0, v));
  }

  /** Common practice, no published source: overlay and soft light leave mid-grey unchanged. */
  @Test
  void aSourceOfMidGreyChangesNothingInSoftLightAndHardLight() {
    double[] backdrop = {0.2, 0.5, 0.9};
    double[] grey = {0.5, 0.5, 0.5};
    assertThat(blend(BlendMode.SOFT_LIGHT, backdrop, grey)).containsExactly(backdrop, within(1e-6));
    assertThat(blend(BlendMode.HARD_LIGHT, backdrop, grey)).containsExactly(backdrop, within(1e-6));
    assertThat(blend(BlendMode.OVERLAY, grey, backdrop)).containsExactly(backdrop, within(1e-6));
  }

  /** Common practice, no published source. */
  @Test
  void screenLightensAndMultiplyDarkens() {
    Random random = new Random(3);
    for (int i = 0; i < 500; i++) {
      double[] b = {random.nextDouble(), random.nextDouble(), random.nextDouble()};
      double[] s = {random.nextDouble(), random.nextDouble(), random.nextDouble()};
      double[] light = blend(BlendMode.SCREEN, b, s);
      double[] dark = blend(BlendMode.MULTIPLY, b, s);
      for (int c = 0; c < 3; c++) {
        assertThat(light[c]).isGreaterThanOrEqualTo(b[c] - 1e-6);
        assertThat(dark[c]).isLessThanOrEqualTo(b[c] + 1e-6);
      }
    }
  }

  @Test
  void anUnknownModeIsRefusedAndNeverTakenForNormal() {
    assertThatThrownBy(() -> BlendMode.ofId("glow"))
        .isInstanceOf(InvalidSetting.class)
        .hasMessageContaining("“glow”");
  }

  @ParameterizedTest
  @EnumSource(BlendMode.class)
  void itsNameInFilesFindsIt(BlendMode mode) {
    assertThat(BlendMode.ofId(mode.id())).isEqualTo(mode);
  }
}

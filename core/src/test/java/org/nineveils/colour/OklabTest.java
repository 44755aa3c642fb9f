package org.nineveils.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.nineveils.testing.CheckValues;

class OklabTest {
  private static float[][] room(int n) {
    return new float[3][n];
  }

  /** Ottosson 2020 by two independent libraries: check-values/srgb_to_oklab_lch_hsl.csv. */
  @Test
  void agreesWithThePublishedValues() {
    var rows = CheckValues.table("srgb_to_oklab_lch_hsl.csv");
    assertThat(rows).hasSize(72);
    for (var row : rows) {
      float[] l = {(float) Srgb.decode(row.number("r") / 255)};
      float[] a = {(float) Srgb.decode(row.number("g") / 255)};
      float[] b = {(float) Srgb.decode(row.number("b") / 255)};
      Oklab.fromLinear(l, a, b, room(1), 1);
      for (String by : new String[] {"cjs", "cul"}) {
        assertThat((double) l[0]).isCloseTo(row.number("okL_" + by), within(1e-4));
        assertThat((double) a[0]).isCloseTo(row.number("oka_" + by), within(1e-4));
        assertThat((double) b[0]).isCloseTo(row.number("okb_" + by), within(1e-4));
      }
    }
  }

  @Test
  void thereAndBackIsWhereItWas() {
    int n = 4096;
    float[] r = new float[n];
    float[] g = new float[n];
    float[] b = new float[n];
    for (int i = 0; i < n; i++) {
      r[i] = (i % 16) / 15f;
      g[i] = ((i >> 4) % 16) / 15f;
      b[i] = (i >> 8) / 15f;
    }
    float[] l = r.clone();
    float[] x = g.clone();
    float[] y = b.clone();
    Oklab.fromLinear(l, x, y, room(n), n);
    Oklab.toLinear(l, x, y, room(n), n);
    assertThat(l).containsExactly(r, within(2e-5f));
    assertThat(x).containsExactly(g, within(2e-5f));
    assertThat(y).containsExactly(b, within(2e-5f));
  }
}

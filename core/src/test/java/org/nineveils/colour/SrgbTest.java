package org.nineveils.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.nineveils.testing.CheckValues;

class SrgbTest {
  /** IEC 61966-2-1 by two independent libraries: check-values/srgb_eotf.csv. */
  @Test
  void decodesEvery8BitCodeAsTheStandardSays() {
    var rows = CheckValues.table("srgb_eotf.csv");
    assertThat(rows).hasSize(256);
    for (var row : rows) {
      double linear = Srgb.decode(row.number("code") / 255);
      assertThat(linear).isCloseTo(row.number("linear_colorjs"), within(1e-9));
      assertThat(linear).isCloseTo(row.number("linear_culori"), within(1e-9));
    }
  }

  @Test
  void encodingIsTheInverseOfDecoding() {
    for (int i = 0; i <= 1000; i++) {
      double v = i / 1000.0;
      assertThat(Srgb.encode(Srgb.decode(v))).isCloseTo(v, within(1e-9));
    }
  }

  /** Matrices of CSS Color 4 as in check-values/srgb_matrices.json (IEC 61966-2-1 primaries). */
  @Test
  void matricesAgreeWithThePublishedOnes() {
    assertThat(Srgb.toXyz().rows())
        .containsExactly(
            new double[] {
              0.41239079926595934, 0.357584339383878, 0.1804807884018343,
              0.21263900587151027, 0.715168678767756, 0.07219231536073371,
              0.01933081871559182, 0.11919477979462598, 0.9505321522496607
            },
            within(1e-12));
    assertThat(Srgb.fromXyz().rows()[0]).isCloseTo(3.2409699419045226, within(1e-9));
    assertThat(Srgb.fromXyz().rows()[8]).isCloseTo(1.0569715142428786, within(1e-9));
  }

  @Test
  void loopsFollowTheClosedForms() {
    int n = 20_001;
    float[] in = new float[n];
    for (int i = 0; i < n; i++) {
      in[i] = i / (float) (n - 1);
    }
    float[] decoded = new float[n];
    float[] encoded = new float[n];
    SrgbLoops.decode(in, decoded, n);
    SrgbLoops.encode(in, encoded, n);
    for (int i = 0; i < n; i++) {
      assertThat((double) decoded[i]).isCloseTo(Srgb.decode(in[i]), within(1e-6));
      assertThat((double) encoded[i]).isCloseTo(Srgb.encode(in[i]), within(1e-6));
    }
  }

  @Test
  void loopsLimitWhatLiesOutside() {
    float[] out = new float[3];
    SrgbLoops.encode(new float[] {-2, 7, 1}, out, 3);
    assertThat(out).containsExactly(new float[] {0, 1, 1}, within(1e-6f));
    assertThat(out[1]).isLessThanOrEqualTo(1);
  }

  /** Gains from five stops down to five up against decode, multiply, encode in double precision. */
  @Test
  void theShortWayOfAGainIsTheLongOneForBrightAndDarkValues() {
    int n = 2001;
    for (double stops : new double[] {-5, -1, -0.1, 0.3, 2, 5}) {
      double gain = Math.pow(2, stops);
      float[] in = new float[n];
      float[] roots = new float[n];
      float[] gains = new float[n];
      for (int i = 0; i < n; i++) {
        in[i] = i / (float) (n - 1);
        roots[i] = (float) Math.pow(gain, EncodedGain.ROOT);
        gains[i] = (float) gain;
      }
      float[] out = new float[n];
      assertThat(EncodedGain.bright(in, roots, out, n)).isTrue();
      EncodedGain.dark(in, gains, out, new float[n], new float[n], n);
      for (int i = 0; i < n; i++) {
        double expected = Math.min(1, Srgb.encode(gain * Srgb.decode(in[i])));
        assertThat((double) out[i]).as("%s stops", stops).isCloseTo(expected, within(2e-6));
      }
    }
  }
}

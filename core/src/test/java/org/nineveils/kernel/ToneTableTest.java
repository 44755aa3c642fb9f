package org.nineveils.kernel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

class ToneTableTest {
  private static double worst(DoubleUnaryOperator f, int codes) {
    ToneTable table = new ToneTable(f);
    float[] in = new float[codes];
    float[] out = new float[codes];
    for (int i = 0; i < codes; i++) {
      in[i] = i / (codes - 1f);
    }
    table.run(in, out, new float[codes], codes);
    double worst = 0;
    for (int i = 0; i < codes; i++) {
      worst = Math.max(worst, Math.abs(out[i] - f.applyAsDouble(in[i])));
    }
    return worst;
  }

  /** Below 1/4096 the steepest power was off by 0.1. */
  @Test
  void everyCodeOfSixteenBitsComesOutAsTheFunctionAlsoWhereItIsSteep() {
    assertThat(worst(x -> Math.pow(x, 1 / 9.99), 65536)).isLessThan(0.006);
    assertThat(worst(x -> Math.pow(x, 1 / 2.2), 65536)).isLessThan(3e-4);
    assertThat(worst(x -> x * x, 65536)).isLessThan(1e-6);
  }

  @Test
  void entriesAreExact() {
    ToneTable table = new ToneTable(Math::sqrt);
    float[] out = new float[1];
    for (int i = 0; i <= 4096; i++) {
      table.run(new float[] {i / 4096f}, out, new float[1], 1);
      assertThat(out[0]).isCloseTo((float) Math.sqrt(i / 4096.0), within(1e-6f));
    }
  }
}

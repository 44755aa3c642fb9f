package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.nineveils.mask.Coverage;
import org.nineveils.picture.Area;
import org.nineveils.veil.Band;
import org.nineveils.veil.BlendMode;
import org.nineveils.veil.Kernel;

/** What a step must be given. */
class StepTest {
  /** Makes its pixels from nothing that it is given. */
  private static final Kernel BLIND =
      new Kernel() {
        @Override
        public void run(Band in, Band out, int n, int x, int y, Band spare) {
          out.r[0] = 1;
        }

        @Override
        public boolean readsInput() {
          return false;
        }
      };

  @Test
  void whatLiesBelowIsLeftOutOnlyWhereNothingOfItCanBeSeen() {
    Coverage half = new Coverage(new Area(0, 0, 1, 1), new float[] {0.5f});
    assertThat(Step.veil(BLIND, BlendMode.NORMAL, 1, null, false).readsBelow()).isFalse();
    assertThat(Step.veil(BLIND, BlendMode.NORMAL, 0.5, null, false).readsBelow()).isTrue();
    assertThat(Step.veil(BLIND, BlendMode.MULTIPLY, 1, null, false).readsBelow()).isTrue();
    assertThat(Step.veil(BLIND, BlendMode.NORMAL, 1, half, false).readsBelow()).isTrue();
    assertThat(Step.veil(BLIND, BlendMode.NORMAL, 1, null, true).readsBelow()).isTrue();
    assertThat(Step.endOfBundle(1, null, null).readsBelow()).isTrue();
  }
}

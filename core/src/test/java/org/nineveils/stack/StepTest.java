package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.mask.Coverage;
import org.nineveils.picture.Area;

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
    assertThat(new VeilStep(BLIND, BlendMode.NORMAL, 1, null, false).readsBelow()).isFalse();
    assertThat(new VeilStep(BLIND, BlendMode.NORMAL, 0.5f, null, false).readsBelow()).isTrue();
    assertThat(new VeilStep(BLIND, BlendMode.MULTIPLY, 1, null, false).readsBelow()).isTrue();
    assertThat(new VeilStep(BLIND, BlendMode.NORMAL, 1, half, false).readsBelow()).isTrue();
    assertThat(new VeilStep(BLIND, BlendMode.NORMAL, 1, null, true).readsBelow()).isTrue();
    assertThat(new EndStep(1, null, null).readsBelow()).isTrue();
  }
}

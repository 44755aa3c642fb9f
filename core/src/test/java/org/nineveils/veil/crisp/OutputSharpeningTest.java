package org.nineveils.veil.crisp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;

class OutputSharpeningTest {
  private static final int SIDE = 600;

  private static Picture edge() {
    Picture p = Picture.blank(SIDE, 40);
    for (int i = 0; i < p.r().length; i++) {
      float v = Math.min(0.7f, Math.max(0.3f, (i % SIDE - 297) * 0.07f + 0.3f));
      p.r()[i] = v;
      p.g()[i] = v;
      p.b()[i] = v;
    }
    return p;
  }

  /** Largest step from one pixel to the next. */
  private static float steepest(OutputSharpening how) {
    Stack stack = how.veil(SIDE).map(v -> Stack.of(Bundle.of(List.of(v)))).orElseGet(Stack::plain);
    Picture p = edge();
    float[] row = Renderer.render(p, p.area(), stack, Manner.exact()).g();
    float out = 0;
    for (int x = 20 * SIDE + 1; x < 21 * SIDE; x++) {
      out = Math.max(out, Math.abs(row[x] - row[x - 1]));
    }
    assertThat(row[20 * SIDE + 100]).as("flat parts").isEqualTo(0.3f);
    return out;
  }

  @Test
  void edgesAreSteeperForScreensAndSteeperStillForPrint() {
    assertThat(steepest(OutputSharpening.NONE)).isBetween(0.0699f, 0.0701f);
    assertThat(steepest(OutputSharpening.SCREEN)).isBetween(0.0705f, 0.1f);
    assertThat(steepest(OutputSharpening.PRINT)).isGreaterThan(steepest(OutputSharpening.SCREEN));
  }

  @Test
  void anySizeOfResultIsTakenAndAnUnknownPurposeIsNot() {
    for (int side : new int[] {1, 100, 20_000}) {
      assertThat(OutputSharpening.PRINT.veil(side)).isPresent();
    }
    assertThatThrownBy(() -> OutputSharpening.ofId("paper")).hasMessageContaining("“paper”");
  }
}

package org.nineveils.filter;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EvenlyTest {
  /** A constant step leaves out columns of every width that it divides. */
  @ParameterizedTest
  @CsvSource({"350, 7", "371, 7", "370, 37", "407, 37", "396, 11", "400, 7"})
  void noColumnIsLeftOut(int width, int every) {
    int height = 300;
    int[] some = Evenly.some(width * height, every);
    long columns = Arrays.stream(some).map(i -> i % width).distinct().count();
    assertThat(columns).isEqualTo(width);
    assertThat(some)
        .hasSize((width * height + every - 1) / every)
        .isSorted()
        .doesNotHaveDuplicates();
    assertThat(some[some.length - 1]).isLessThan(width * height);
  }
}

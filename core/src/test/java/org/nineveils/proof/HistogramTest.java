package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.testing.Pictures;

class HistogramTest {
  @Test
  void everyPixelIsCountedOnceAtItsTone() {
    Histogram h = Histogram.of(Pictures.random(40, 25, 1));
    assertThat(Arrays.stream(h.red()).sum()).isEqualTo(1000);
    Histogram flat = Histogram.of(Pictures.flat(10, 10, 0.2, 0.4, 0.6));
    assertThat(flat.green()[102]).isEqualTo(100);
  }

  @Test
  void countedFromPixelsInEightBitsItIsTheSame() {
    Picture p = Pictures.random(300, 250, 7);
    byte[] rgba = new byte[5 + 4 * p.r().length];
    Quantise.toRgba8(p, rgba, 5);
    Histogram a = Histogram.of(p);
    Histogram b = Histogram.ofRgba8(rgba, 5, p.r().length);
    assertThat(b.red()).isEqualTo(a.red());
    assertThat(b.green()).isEqualTo(a.green());
    assertThat(b.blue()).isEqualTo(a.blue());
  }

  @Test
  void blownAndBlockedAreSharesOverTheChannels() {
    Picture p = Pictures.flat(10, 10, 1, 0.5, 0);
    assertThat(Histogram.of(p).blown()).isCloseTo(1 / 3.0, within(1e-12));
    assertThat(Histogram.of(p).blocked()).isCloseTo(1 / 3.0, within(1e-12));
  }
}

package org.nineveils.veil.soft;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.nineveils.kernel.Frame;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.setting.SettingValues;
import org.nineveils.testing.Looks;
import org.nineveils.testing.Pictures;

class SoftTest {
  private static Picture soft(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("soft", settings));
  }

  /** Left half darker, right half lighter, on each a wave of low contrast. */
  private static Picture twoTones(double step, double wave, double period) {
    Picture p = Pictures.flat(500, 60, 0, 0, 0);
    for (int i = 0; i < p.r().length; i++) {
      int x = i % 500;
      double v = 0.5 + (x < 250 ? -step / 2 : step / 2) + wave * Math.sin(x * 2 * Math.PI / period);
      p.r()[i] = (float) v;
      p.g()[i] = (float) (v * 0.8);
      p.b()[i] = (float) (v * 0.7);
    }
    return p;
  }

  private static double swing(Picture p, int from, int to) {
    float low = 1;
    float high = 0;
    for (int x = from; x < to; x++) {
      low = Math.min(low, p.g()[30 * 500 + x]);
      high = Math.max(high, p.g()[30 * 500 + x]);
    }
    return high - low;
  }

  @Test
  void smoothingEvensOutFaintBlotchesButKeepsAStrongEdge() {
    Picture plain = twoTones(0.5, 0.02, 30);
    Picture out =
        soft(plain, Map.of("smooth", 100, "smoothSize", 20, "smoothTexture", 0, "smoothEdge", 8));
    assertThat(swing(out, 60, 190)).isLessThan(0.35 * swing(plain, 60, 190));
    double before = plain.g()[30 * 500 + 254] - plain.g()[30 * 500 + 245];
    double after = out.g()[30 * 500 + 254] - out.g()[30 * 500 + 245];
    assertThat(after).isGreaterThan(0.9 * before);
  }

  /** Pores are finer than blotches: kept texture brings them back, not the blotches. */
  @Test
  void keptTextureIsTheFinePart() {
    Map<String, Object> none = Map.of("smooth", 100, "smoothSize", 20, "smoothTexture", 0);
    Map<String, Object> all = Map.of("smooth", 100, "smoothSize", 20, "smoothTexture", 100);
    Picture pores = twoTones(0, 0.02, 4);
    assertThat(swing(soft(pores, all), 60, 190)).isGreaterThan(0.9 * swing(pores, 60, 190));
    assertThat(swing(soft(pores, none), 60, 190)).isLessThan(0.2 * swing(pores, 60, 190));
    Picture blotches = twoTones(0, 0.02, 60);
    assertThat(swing(soft(blotches, all), 60, 190))
        .isCloseTo(swing(soft(blotches, none), 60, 190), within(0.004));
  }

  /** Common practice, no published source: a size is a share of the picture, not pixels. */
  @Test
  void theSameShareGivesTheSameLookAtQuarterSize() {
    Picture full = Pictures.photo("portrait-deep-skin-studio");
    Picture small = Scaling.toLongSide(full, full.longSide() / 4);
    for (Map<String, ?> settings :
        java.util.List.of(
            Map.of("blur", 4),
            Map.of("smooth", 80, "smoothSize", 8),
            Map.of("glow", 70, "glowSize", 20))) {
      Picture fromFull = Scaling.toLongSide(soft(full, settings), small.longSide());
      assertThat(Looks.apart(fromFull, soft(small, settings)).mean())
          .as(settings.toString())
          .isLessThan(1);
    }
  }

  @Test
  void glowSpreadsFromLightTonesAndNeverDarkens() {
    Picture p = twoTones(0.7, 0, 10);
    Picture out = soft(p, Map.of("glow", 80, "glowSize", 20, "glowFrom", 50));
    int row = 30 * 500;
    for (int x = 0; x < 500; x++) {
      assertThat(out.r()[row + x]).isGreaterThanOrEqualTo(p.r()[row + x]);
    }
    assertThat(out.r()[row + 245]).isGreaterThan(p.r()[row + 245] + 0.04f);
    assertThat(out.r()[row + 100]).isCloseTo(p.r()[row + 100], within(1e-4f));
  }

  /** Koschmieder's equation as quoted by He, Sun and Tang: in · t + air · (1 − t). */
  @Test
  void hazeLiftsBlackMoreThanWhiteTowardsItsOwnColour() {
    Picture black = soft(Pictures.flat(9, 9, 0, 0, 0), Map.of("haze", 100, "hazeWarmth", 100));
    Picture white = soft(Pictures.flat(9, 9, 1, 1, 1), Map.of("haze", 100, "hazeWarmth", 100));
    assertThat((double) white.r()[0] - black.r()[0]).isCloseTo(0.3, within(1e-5));
    assertThat(black.r()[0]).isGreaterThan(black.b()[0]);
  }

  private static double spread(float[] plane, int from, int to) {
    double mean = 0;
    for (int x = from; x < to; x++) {
      mean += plane[30 * 500 + x] / (to - from);
    }
    double sum = 0;
    for (int x = from; x < to; x++) {
      sum += Math.pow(plane[30 * 500 + x] - mean, 2);
    }
    return Math.sqrt(sum / (to - from));
  }

  @Test
  void noiseReductionTakesNoiseOfLightAndOfColourApartAndLeavesEdges() {
    Random random = new Random(4);
    Picture p = twoTones(0.5, 0, 10);
    for (int i = 0; i < p.r().length; i++) {
      double light = 0.02 * random.nextGaussian();
      p.r()[i] += (float) (light + 0.02 * random.nextGaussian());
      p.g()[i] += (float) light;
      p.b()[i] += (float) (light + 0.02 * random.nextGaussian());
    }
    Picture light = soft(p, Map.of("noiseLight", 100, "noiseSize", 3));
    Picture colour = soft(p, Map.of("noiseColour", 100, "noiseSize", 3));
    assertThat(spread(light.g(), 20, 230)).isLessThan(0.5 * spread(p.g(), 20, 230));
    float[] before = new float[p.r().length];
    float[] after = new float[p.r().length];
    for (int i = 0; i < before.length; i++) {
      before[i] = p.r()[i] - p.g()[i];
      after[i] = colour.r()[i] - colour.g()[i];
    }
    assertThat(spread(after, 20, 230)).isLessThan(0.4 * spread(before, 20, 230));
    assertThat(light.g()[30 * 500 + 258] - light.g()[30 * 500 + 241]).isGreaterThan(0.32f);
  }

  /**
   * Common practice, no published source: a soft “aged” blur of about 6 pixels suits a frame of 5
   * 760 pixels, about 0.11 % of its long side.
   */
  @Test
  void theAgedBlurOfALargeFrameIsAboutAThousandthOfItsLongSide() {
    SettingValues values = SettingValues.parse(new Soft().settings(), Map.of("blur", 1.1));
    assertThat(Soft.pixels(values, Soft.BLUR, new Frame(5760, 3840, PictureShelf.EMPTY)))
        .isCloseTo(6, within(0.4));
  }
}

package org.nineveils.mask;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.colour.Srgb;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.region.Grey;

/**
 * What the skin rule takes of the marked regions of the computer-made photos, in their own light
 * and in others. The photos are those that it was set on: this holds what was reached, it does not
 * show how strangers' photos fare.
 */
class FoundSkinTest {
  /** Gains of red, green and blue in linear light: lamp light, shade, light through leaves. */
  private enum Light {
    PLAIN(1, 1, 1),
    WARM(1.25, 1, 0.62),
    COOL(0.8, 1, 1.35),
    GREEN(0.85, 1.12, 0.8);

    private final double red;
    private final double green;
    private final double blue;

    Light(double red, double green, double blue) {
      this.red = red;
      this.green = green;
      this.blue = blue;
    }

    Picture on(Picture p) {
      Picture out = Picture.blank(p.width(), p.height());
      float[][] from = {p.r(), p.g(), p.b()};
      float[][] to = {out.r(), out.g(), out.b()};
      double[] gains = {red, green, blue};
      for (int c = 0; c < 3; c++) {
        for (int i = 0; i < to[c].length; i++) {
          double linear = Math.min(1, Srgb.decode(from[c][i]) * gains[c]);
          to[c][i] = (float) Srgb.encode(linear);
        }
      }
      return out;
    }
  }

  /** Shares of a region and of the rest that are taken. */
  private static double[] taken(String photo, String region, Light light) {
    Path demo = Path.of("../demo");
    Picture plain = PictureReader.read(demo.resolve("photos/" + photo + ".jpg"));
    Picture p = light.on(Scaling.toLongSide(plain, SmallPhoto.LONG_SIDE));
    float[] found = Guard.skinOf(p);
    Path mask = demo.resolve("regions/" + photo + "/" + region + ".png");
    float[] cover = Grey.sized(PictureReader.read(mask), p.area());
    double[] in = new double[2];
    double[] n = new double[2];
    for (int i = 0; i < found.length; i++) {
      int k = cover[i] >= 0.5f ? 0 : 1;
      in[k] += found[i];
      n[k]++;
    }
    return new double[] {in[0] / n[0], in[1] / n[1]};
  }

  @ParameterizedTest
  @CsvSource({
    "newborn-bluish-lips-fingertips, 0.95",
    "newborn-brown-skin-even, 0.95",
    "newborn-red-blotchy-skin, 0.98",
    "portrait-brown-skin-window, 0.96",
    "portrait-deep-skin-studio, 0.95",
    "portrait-light-skin-studio, 0.98",
    "portrait-medium-skin-warm-studio, 0.98",
    "portrait-pale-skin-high-key, 0.96"
  })
  void inPlainLightSkinIsFoundAndLittleElse(String photo, double recall) {
    double[] taken = taken(photo, "skin", Light.PLAIN);
    assertThat(taken[0]).isGreaterThanOrEqualTo(recall);
    assertThat(taken[1]).isLessThan(0.04);
  }

  @ParameterizedTest
  @CsvSource({
    "newborn-yellowish-skin, PLAIN",
    "portrait-backlit-green-grass, PLAIN",
    "portrait-underexposed-cool-open-shade, PLAIN",
    "portrait-deep-skin-back-light, PLAIN",
    "portrait-light-skin-studio, WARM",
    "portrait-light-skin-studio, COOL",
    "portrait-light-skin-studio, GREEN",
    "portrait-medium-skin-warm-studio, WARM",
    "portrait-medium-skin-warm-studio, COOL",
    "newborn-brown-skin-even, WARM",
    "newborn-brown-skin-even, COOL",
    "newborn-brown-skin-even, GREEN",
    "newborn-red-blotchy-skin, COOL",
    "newborn-bluish-lips-fingertips, WARM",
    "portrait-brown-skin-window, COOL"
  })
  void underACastMostOfItIsFound(String photo, Light light) {
    double[] taken = taken(photo, "skin", light);
    assertThat(taken[0]).isGreaterThanOrEqualTo(0.6);
    assertThat(taken[1]).isLessThan(0.15);
  }

  @ParameterizedTest
  @CsvSource({
    "pet-black-dog, PLAIN",
    "pet-ginger-cat, PLAIN",
    "pet-white-dog-stained-beard, PLAIN",
    "pet-ginger-cat, WARM",
    "pet-white-dog-stained-beard, WARM",
    "pet-ginger-cat, COOL",
    "pet-ginger-cat, GREEN"
  })
  void furIsNotSkin(String photo, Light light) {
    assertThat(taken(photo, "fur", light)[0]).isLessThan(0.1);
  }
}

package org.nineveils.fact;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.apache.commons.math3.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.colour.Lab;
import org.nineveils.colour.Srgb;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.Pictures;

/** Pictures made so that the answer is known, and commons-math as another way. */
class FactsTest {
  private static Picture patches(Lab... colours) {
    Picture out = Picture.blank(400, 100);
    for (int i = 0; i < 40_000; i++) {
      double[] rgb = colours[i % 400 * colours.length / 400].toSrgb();
      out.r()[i] = (float) rgb[0];
      out.g()[i] = (float) rgb[1];
      out.b()[i] = (float) rgb[2];
    }
    return out;
  }

  private static Map<String, Double> of(Picture p) {
    return Facts.of(Ground.of(p));
  }

  @Test
  void factsAreThoseOfThePatchesThatThePictureIsMadeOf() {
    Map<String, Double> found =
        of(patches(new Lab(40, 2, 6), new Lab(40, 2, 6), new Lab(60, 2, 6), new Lab(55, -30, 25)));
    assertThat(found.get("lightness")).isBetween(40.0, 55.1);
    assertThat(found.get("contrast")).isCloseTo(20, within(0.2));
    assertThat(found.get("warmth")).isCloseTo(6, within(0.1));
    assertThat(found.get("tint")).isCloseTo(2, within(0.1));
    assertThat(found.get("greens-chroma")).isCloseTo(Math.hypot(30, 25), within(0.3));
    assertThat(found.get("near-black")).isZero();
    Map<String, Double> ends =
        of(patches(new Lab(0, 0, 0), new Lab(100, 0, 0), new Lab(100, 0, 0), new Lab(50, 0, 0)));
    assertThat(ends.get("near-black")).isCloseTo(0.25, within(1e-6));
    assertThat(ends.get("near-white")).isCloseTo(0.5, within(1e-6));
  }

  @Test
  void whatIsNotThereIsLeftOut() {
    Map<String, Double> red = of(patches(new Lab(45, 60, 40)));
    assertThat(red)
        .doesNotContainKeys("warmth", "tint", "greens-chroma", "skin-lightness", "skin-hue")
        .containsEntry("skin-share", 0.0);
  }

  @Test
  void skinIsToldByTheRuleAndAMarkedOneWins() {
    Picture p =
        patches(new Lab(65, 14, 17), new Lab(50, 0, 0), new Lab(50, 0, 0), new Lab(30, 0, -8));
    Map<String, Double> ruled = of(p);
    assertThat(ruled.get("skin-share")).isCloseTo(0.25, within(0.01));
    assertThat(ruled.get("skin-lightness")).isCloseTo(65, within(0.3));
    assertThat(ruled.get("skin-hue")).isCloseTo(Math.toDegrees(Math.atan2(17, 14)), within(0.5));
    assertThat(ruled.get("skin-chroma")).isCloseTo(Math.hypot(14, 17), within(0.3));
    float[] marked = new float[40_000];
    for (int i = 0; i < marked.length; i++) {
      marked[i] = i % 400 >= 300 ? 1 : 0;
    }
    Map<String, Double> found = Facts.of(Ground.of(p, marked));
    assertThat(found.get("skin-lightness")).isCloseTo(30, within(0.3));
  }

  @ParameterizedTest
  @ValueSource(doubles = {3, 8, 15})
  void noiseIsItsStandardDeviation(double codes) {
    Random random = new Random(4);
    Picture p = Pictures.flat(1200, 900, 0.5, 0.5, 0.5);
    for (int i = 0; i < p.r().length; i++) {
      float v = (float) (0.5 + random.nextGaussian() * codes / 255);
      p.r()[i] = p.g()[i] = p.b()[i] = v;
    }
    Map<String, Double> found = of(p);
    // what a blur of 1.2 pixels takes away: 1 − 2 w₀ + Σ w² of the sampled Gaussian
    double w = 0;
    double squares = 0;
    double sum = 0;
    for (int y = -4; y <= 4; y++) {
      for (int x = -4; x <= 4; x++) {
        double g = Math.exp(-(x * x + y * y) / 2.88);
        sum += g;
        squares += g * g;
        w = x == 0 && y == 0 ? g : w;
      }
    }
    double left = Math.sqrt(1 - 2 * w / sum + squares / sum / sum);
    assertThat(found.get("noise-full")).isCloseTo(codes * left, within(0.06 * codes));
    assertThat(found.get("noise")).isCloseTo(codes * left / 2.5, within(0.06 * codes));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"portrait-brown-skin-window", "newborn-red-blotchy-skin", "pet-ginger-cat"})
  void percentilesAreThoseOfAnotherLibrary(String photo) {
    Picture small = Scaling.toLongSide(Pictures.photo(photo), Ground.LONG_SIDE);
    double[] l = new double[small.r().length];
    for (int i = 0; i < l.length; i++) {
      l[i] = Lab.ofSrgb(small.r()[i], small.g()[i], small.b()[i]).l();
    }
    Percentile percentile = new Percentile().withEstimationType(Percentile.EstimationType.R_7);
    percentile.setData(l);
    Map<String, Double> found = of(Pictures.photo(photo));
    assertThat(found.get("lightness")).isCloseTo(percentile.evaluate(50), within(0.05));
    assertThat(found.get("contrast"))
        .isCloseTo(percentile.evaluate(95) - percentile.evaluate(5), within(0.05));
    Map<String, Double> preview = of(Scaling.toLongSide(Pictures.photo(photo), 960));
    for (String id : Facts.of(Ground.of(small)).keySet()) {
      if (!id.startsWith("noise")) {
        assertThat(preview.get(id)).as(id).isCloseTo(found.get(id), within(0.5));
      }
    }
  }

  /** What the package says of light and noise; what a stop takes away is not there. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "portrait-brown-skin-window",
        "newborn-red-blotchy-skin",
        "portrait-light-skin-studio"
      })
  void lightAndNoiseMoveFactsByNoMoreThanIsSaid(String photo) {
    Picture plain = Scaling.toLongSide(Pictures.photo(photo), 1200);
    Map<String, Double> found = of(plain);
    for (double stops : new double[] {-1, 1}) {
      near(
          found,
          of(lit(plain, Math.pow(2, stops), 0)),
          Map.of("contrast", 25.0, "warmth", 3.0, "tint", 3.0, "skin-hue", 8.0));
    }
    near(
        found,
        of(lit(plain, 1, 8)),
        Map.of(
            "lightness",
            1.0,
            "contrast",
            2.0,
            "warmth",
            1.0,
            "tint",
            1.0,
            "skin-lightness",
            2.0,
            "skin-hue",
            3.0,
            "skin-chroma",
            2.0));
  }

  private static void near(
      Map<String, Double> found, Map<String, Double> other, Map<String, Double> by) {
    by.forEach(
        (id, most) -> {
          if (found.containsKey(id) && other.containsKey(id)) {
            assertThat(other.get(id)).as(id).isCloseTo(found.get(id), within(most));
          }
        });
    assertThat(other).containsKeys("lightness", "contrast", "skin-share");
  }

  private static Picture lit(Picture p, double light, double codes) {
    Random random = new Random(9);
    Picture out = Picture.blank(p.width(), p.height());
    float[][] from = {p.r(), p.g(), p.b()};
    float[][] to = {out.r(), out.g(), out.b()};
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < to[c].length; i++) {
        double v = Srgb.encode(Math.min(1, Srgb.decode(from[c][i]) * light));
        to[c][i] = (float) Math.max(0, Math.min(1, v + random.nextGaussian() * codes / 255));
      }
    }
    return out;
  }

  @Test
  void aFactIsOneFileAndOneLineInTheList() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("src/main/java/org/nineveils/fact"))) {
      long written = files.filter(f -> text(f).contains("implements Fact {")).count();
      assertThat(Facts.all()).hasSize((int) written);
    }
    assertThat(Facts.all().stream().map(Fact::id)).doesNotHaveDuplicates();
  }

  private static String text(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}

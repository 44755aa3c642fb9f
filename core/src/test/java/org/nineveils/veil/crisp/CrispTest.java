package org.nineveils.veil.crisp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.CheckValues;
import org.nineveils.testing.Looks;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Veil;

class CrispTest {
  private static Picture crisp(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("crisp", settings));
  }

  private static Picture step(double low, double high) {
    Picture p = Pictures.flat(400, 40, low, low, low);
    for (int i = 0; i < p.r().length; i++) {
      if (i % 400 >= 200) {
        p.r()[i] = (float) high;
        p.g()[i] = (float) high;
        p.b()[i] = (float) high;
      }
    }
    return p;
  }

  /**
   * scikit-image's unsharp mask with σ = 2 pixels, amount 1.5: check-values/filters. The input is
   * grey, so that luma is the picture, and goes on mirrored as there. Only steps that the bound on
   * halos leaves alone are compared.
   */
  @Test
  void smallStepsAreTheUnsharpMaskOfAReferenceLibrary() {
    float[] in = CheckValues.plane("filters/input.csv");
    float[] expected = CheckValues.plane("filters/unsharp_skimage_r2_a1.5_unclipped.csv");
    Picture p = Pictures.flat(2000, 120, 0, 0, 0);
    for (int i = 0; i < p.g().length; i++) {
      float v = in[mirrored(i / 2000) * 24 + mirrored(i % 2000)];
      p.r()[i] = v;
      p.g()[i] = v;
      p.b()[i] = v;
    }
    Picture out =
        crisp(p, Map.of("sharp", 150, "sharpRadius", 1.0, "sharpFrom", 0, "sharpHalo", 50));
    int compared = 0;
    for (int i = 0; i < 576; i++) {
      float wanted = expected[i];
      if (Math.abs(wanted - in[i]) < 0.24 && wanted > 0 && wanted < 1) {
        float ours = out.g()[(48 + i / 24) * 2000 + 48 + i % 24];
        assertThat(ours).as("value %d", i).isCloseTo(wanted, within(0.004f));
        compared++;
      }
    }
    assertThat(compared).isGreaterThan(200);
  }

  private static int mirrored(int k) {
    int in = k % 48;
    return in < 24 ? in : 47 - in;
  }

  @Test
  void noHaloIsBrighterThanItsBound() {
    Picture p = step(0.2, 0.7);
    for (int halo : new int[] {3, 10, 30}) {
      Picture out =
          crisp(p, Map.of("sharp", 300, "sharpRadius", 3, "sharpFrom", 0, "sharpHalo", halo));
      double most = 0;
      for (int i = 0; i < p.g().length; i++) {
        most = Math.max(most, out.g()[i] - p.g()[i]);
      }
      assertThat(most).isLessThanOrEqualTo(halo / 100.0).isGreaterThan(halo / 300.0);
    }
  }

  @Test
  void contrastBelowTheThresholdIsLeftAsItIs() {
    Picture faint = step(0.5, 0.51);
    Picture out = crisp(faint, Map.of("sharp", 300, "sharpRadius", 2, "sharpFrom", 2));
    assertThat(Pictures.farthest(faint, out)).isLessThan(1e-6);
  }

  /** A wave of the given length in pixels of 1 000, ten per cent of white to either side. */
  private static Picture wave(double period) {
    Picture p = Pictures.flat(1000, 30, 0, 0, 0);
    for (int i = 0; i < p.r().length; i++) {
      float v = (float) (0.5 + 0.05 * Math.sin(i % 1000 * 2 * Math.PI / period));
      p.r()[i] = v;
      p.g()[i] = v;
      p.b()[i] = v;
    }
    return p;
  }

  private static double gain(double period, Map<String, ?> settings) {
    Picture p = wave(period);
    Picture out = crisp(p, settings);
    float high = 0;
    float low = 1;
    for (int x = 300; x < 700; x++) {
      high = Math.max(high, out.g()[15 * 1000 + x]);
      low = Math.min(low, out.g()[15 * 1000 + x]);
    }
    return (high - low) / 0.1;
  }

  @Test
  void eachScaleOfLocalContrastActsOnItsOwnDetail() {
    Map<String, Integer> small = Map.of("small", 100);
    Map<String, Integer> medium = Map.of("medium", 100);
    Map<String, Integer> large = Map.of("large", 100);
    assertThat(gain(8, small)).isGreaterThan(1.5).isGreaterThan(gain(8, large));
    assertThat(gain(40, medium)).isGreaterThan(gain(40, small)).isGreaterThan(gain(40, large));
    assertThat(gain(140, large)).isGreaterThan(gain(140, medium)).isGreaterThan(gain(140, small));
    assertThat(gain(8, Map.of("small", -100))).isLessThan(0.5);
  }

  @Test
  void localContrastLeavesBlackAndWhiteAndMakesNoHaloAtAStrongEdge() {
    Picture p = step(0.1, 0.9);
    Picture out = crisp(p, Map.of("small", 100, "medium", 100, "large", 100));
    assertThat(Pictures.farthest(p, out)).isLessThan(0.06);
    Picture ends = step(0, 1);
    assertThat(Pictures.farthest(ends, crisp(ends, Map.of("large", 100)))).isLessThan(1e-6);
  }

  /**
   * Haze by Koschmieder's equation over a photo with dark parts; taken away again it comes near.
   */
  @Test
  void hazeRemovalBringsAHazedPhotoBack() {
    Picture photo = Scaling.toLongSide(Pictures.photo("portrait-light-skin-studio"), 600);
    Picture hazed = Pictures.through(photo, Pictures.veil("soft", Map.of("haze", 60)));
    Picture back = crisp(hazed, Map.of("clear", 90));
    double before = Looks.apart(photo, hazed).mean();
    double after = Looks.apart(photo, back).mean();
    assertThat(after).isLessThan(0.6 * before);
  }

  /** The air light is that of the whole picture, whatever size the picture is rendered at. */
  @Test
  void hazeRemovalLooksAlikeAtQuarterSize() {
    Picture full = Pictures.photo("portrait-backlit-green-grass");
    Picture small = Scaling.toLongSide(full, full.longSide() / 4);
    Map<String, Integer> settings = Map.of("clear", 60);
    Picture fromFull = Scaling.toLongSide(crisp(full, settings), small.longSide());
    assertThat(Looks.apart(fromFull, crisp(small, settings)).mean()).isLessThan(0.5);
  }

  /** Sizes on both sides of a doubling of the grid. */
  @Test
  void hazeRemovalDoesNotJumpWithTheSizeOfThePicture() {
    Picture full = Pictures.photo("pet-ginger-cat");
    Map<String, Integer> settings = Map.of("clear", 80);
    for (int size : new int[] {300, 318, 322, 460, 638, 642}) {
      Picture own = Scaling.toLongSide(full, size);
      Picture wanted = Scaling.toLongSide(crisp(full, settings), 300);
      Picture shown = Scaling.toLongSide(crisp(own, settings), 300);
      assertThat(Looks.apart(wanted, shown).mean()).as("at %d", size).isLessThan(0.8);
    }
  }

  /** Each veil once worked out anew what all below it make of the small picture: 2ⁿ times. */
  @Test
  void manyVeilsThatLookAtTheWholeAskForItOnceEach() {
    Picture photo = Scaling.toLongSide(Pictures.photo("pet-black-dog"), 240);
    List<Veil> veils = new ArrayList<>();
    for (int i = 0; i < 35; i++) {
      Veil v = Pictures.veil("crisp", Map.of("clear", 5));
      veils.add(
          new Veil("h" + i, "h", v.kind(), v.settings(), v.blend(), 0.5, false, v.mask(), ""));
    }
    Picture all = Renderer.render(photo, new Stack(List.of(Bundle.of(veils))));
    Picture below = Renderer.render(photo, new Stack(List.of(Bundle.of(veils.subList(0, 34)))));
    Picture last = Renderer.render(below, new Stack(List.of(Bundle.of(veils.subList(34, 35)))));
    assertThat(Pictures.farthest(all, last)).isLessThan(1e-5);
  }
}

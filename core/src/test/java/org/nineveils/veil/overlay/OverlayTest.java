package org.nineveils.veil.overlay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.nineveils.colour.Hsl;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.CheckValues;
import org.nineveils.testing.Pictures;

class OverlayTest {
  private static Picture laid(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("overlay", settings));
  }

  /** HSL of 72 colours by an independent library: check-values/srgb_to_oklab_lch_hsl.csv. */
  @Test
  void hslIsThatOfTheStandard() {
    int checked = 0;
    for (var row : CheckValues.table("srgb_to_oklab_lch_hsl.csv")) {
      double hue = row.has("hsl_h") ? row.number("hsl_h") : 0;
      float[] rgb = Hsl.toRgb(hue, row.number("hsl_s"), row.number("hsl_l"));
      assertThat((double) rgb[0]).isCloseTo(row.number("r") / 255, within(1e-4));
      assertThat((double) rgb[1]).isCloseTo(row.number("g") / 255, within(1e-4));
      assertThat((double) rgb[2]).isCloseTo(row.number("b") / 255, within(1e-4));
      checked++;
    }
    assertThat(checked).isEqualTo(72);
  }

  @Test
  void aFlatColourAtFullAmountIsThatColourEverywhere() {
    Map<String, Integer> sky =
        Map.of("flat", 100, "flatHue", 210, "flatSaturation", 50, "flatLightness", 50);
    Picture out = laid(Pictures.random(40, 30, 1), sky);
    float[] rgb = Hsl.toRgb(210, 0.5, 0.5);
    assertThat(Pictures.farthest(out, Pictures.flat(40, 30, rgb[0], rgb[1], rgb[2])))
        .isLessThan(1e-6);
    Picture half =
        laid(
            Pictures.flat(2, 2, 0, 0, 0),
            Map.of("flat", 50, "flatSaturation", 0, "flatLightness", 100));
    assertThat((double) half.g()[0]).isCloseTo(0.5, within(1e-6));
  }

  @Test
  void aLinearGradientFallsAlongItsAngleOnly() {
    Map<String, Object> down =
        Map.of(
            "gradient",
            100,
            "gradientSaturation",
            0,
            "gradientLightness",
            100,
            "gradientAngle",
            90,
            "gradientLength",
            50);
    Picture out = laid(Pictures.flat(200, 100, 0, 0, 0), down);
    for (int y = 1; y < 100; y++) {
      assertThat(out.r()[y * 200 + 50]).isLessThanOrEqualTo(out.r()[(y - 1) * 200 + 50]);
      assertThat(out.r()[y * 200 + 180]).isCloseTo(out.r()[y * 200 + 10], within(1e-6f));
    }
    assertThat(out.r()[50]).isGreaterThan(0.99f);
    assertThat(out.r()[99 * 200]).isLessThan(0.01f);
    assertThat(out.r()[50 * 200 + 100]).isBetween(0.45f, 0.55f);
  }

  @Test
  void aRoundGradientFallsAwayFromItsMiddle() {
    Map<String, Object> round =
        Map.of(
            "gradient",
            100,
            "gradientSaturation",
            0,
            "gradientLightness",
            100,
            "gradientRound",
            100,
            "gradientLength",
            25,
            "gradientX",
            30);
    Picture out = laid(Pictures.flat(200, 100, 0, 0, 0), round);
    assertThat(out.g()[50 * 200 + 60]).isGreaterThan(0.99f);
    assertThat(out.g()[50 * 200 + 85]).isCloseTo(out.g()[75 * 200 + 60], within(0.02f));
    assertThat(out.g()[50 * 200 + 150]).isZero();
  }

  @Test
  void aShaftOnlyLightensFadesAndIsWarmOnItsAxis() {
    Picture grey = Pictures.flat(300, 200, 0.3, 0.3, 0.3);
    Map<String, Object> beam =
        Map.of("shaft", 80, "shaftX", 0, "shaftY", 50, "shaftAngle", 0, "shaftWarmth", 100);
    Picture out = laid(grey, beam);
    int axis = 100 * 300;
    assertThat(out.r()[axis + 60]).isGreaterThan(out.b()[axis + 60]).isGreaterThan(0.3f);
    assertThat(out.r()[axis + 60]).isGreaterThan(out.r()[axis + 280]);
    assertThat(out.r()[10 * 300 + 60]).as("beside the beam").isEqualTo(0.3f);
    for (float v : out.g()) {
      assertThat(v).isGreaterThanOrEqualTo(0.3f);
    }
  }

  /** Where a placed picture is transparent the photo stays; half-way it is half-way. */
  @Test
  void aPlacedPictureKeepsItsTransparency() {
    float[] there = {0, 0.5f, 1};
    Picture overWhite =
        new Picture(
            3, 1, new float[] {1, 1, 1}, new float[] {1, 0.5f, 0}, new float[] {1, 0.5f, 0});
    PictureShelf shelf =
        new PictureShelf() {
          @Override
          public Optional<Picture> find(String sha) {
            return Optional.of(overWhite);
          }

          @Override
          public Optional<Picture> cover(String sha, int longSide) {
            return Optional.of(new Picture(3, 1, there, there, there));
          }
        };
    Picture blue = Pictures.flat(3, 1, 0, 0, 1);
    Stack stack =
        Stack.of(
            Bundle.of(
                List.of(
                    Pictures.veil(
                        "overlay", Map.of("picture", Pictures.TEXTURE, "pictureAmount", 100)))));
    Picture out = Renderer.render(blue, blue.area(), stack, Manner.exact().picturesFrom(shelf));
    for (int i = 0; i < 3; i++) {
      assertThat(out.r()[i]).isCloseTo(there[i], within(1e-6f));
      assertThat(out.b()[i]).isCloseTo(1 - there[i], within(1e-6f));
      assertThat(out.g()[i]).isCloseTo(0, within(1e-6f));
    }
  }

  @Test
  void grainIsTheSameForOneSeedAndAnotherForAnother() {
    Picture grey = Pictures.flat(300, 200, 0.5, 0.5, 0.5);
    Picture one = laid(grey, Map.of("grain", 50));
    assertThat(Pictures.same(one, laid(grey, Map.of("grain", 50)))).isTrue();
    assertThat(Pictures.same(one, laid(grey, Map.of("grain", 50, "grainSeed", 2)))).isFalse();
    assertThat(one.r()).isEqualTo(one.b());
  }

  @Test
  void grainLeavesTheMeanBlackAndWhiteAlone() {
    Picture out = laid(Pictures.flat(400, 300, 0.5, 0.5, 0.5), Map.of("grain", 60, "grainSize", 3));
    double sum = 0;
    double squares = 0;
    for (float v : out.r()) {
      sum += v - 0.5;
      squares += (v - 0.5) * (v - 0.5);
    }
    assertThat(sum / out.r().length).isCloseTo(0, within(0.01));
    assertThat(Math.sqrt(squares / out.r().length)).isBetween(0.03, 0.12);
    Picture ends = laid(Pictures.ramp(2), Map.of("grain", 100));
    assertThat(ends.r()).containsExactly(0, 1);
  }

  /**
   * No lattice shows: grain varies alike wherever a place lies in a cell of the pixel grid, and is
   * alike along rows, columns and both diagonals.
   */
  @Test
  void grainHasNoGrid() {
    int cell = 8;
    int side = 200 * cell;
    Picture out =
        laid(
            Pictures.flat(side, side, 0.5, 0.5, 0.5),
            Map.of("grain", 40, "grainSize", 1000.0 * cell / side));
    double[] byPhase = new double[cell * cell];
    double all = 0;
    double[] lag = new double[4];
    int[][] way = {{cell / 2, 0}, {0, cell / 2}, {3, 3}, {-3, 3}};
    for (int y = 0; y < side - cell; y++) {
      for (int x = cell; x < side - cell; x++) {
        double v = out.g()[y * side + x] - 0.5;
        all += v * v;
        byPhase[y % cell * cell + x % cell] += v * v;
        for (int k = 0; k < 4; k++) {
          lag[k] += v * (out.g()[(y + way[k][1]) * side + x + way[k][0]] - 0.5);
        }
      }
    }
    for (double phase : byPhase) {
      assertThat(phase / (all / byPhase.length)).isCloseTo(1, within(0.12));
    }
    for (int k = 1; k < 4; k++) {
      assertThat(lag[k] / all).isCloseTo(lag[0] / all, within(0.1));
    }
  }

  /** Equal grain size on a print whatever the number of pixels. */
  @Test
  void grainHasTheSameSizeAtEveryPixelCount() {
    Map<String, Object> coarse = Map.of("grain", 80, "grainSize", 6);
    Picture large = laid(Pictures.flat(2000, 400, 0.5, 0.5, 0.5), coarse);
    Picture small = laid(Pictures.flat(1000, 200, 0.5, 0.5, 0.5), coarse);
    assertThat(Pictures.farthest(Scaling.toLongSide(large, 1000), small)).isLessThan(0.03);
  }

  @Test
  void theFarEndOfTheGradientTakesItsOwnColourAndHalfWayMoves() {
    Picture grey = Pictures.flat(200, 100, 0.5, 0.5, 0.5);
    Map<String, Object> blue =
        Map.of(
            "gradientEnd", 100.0,
            "gradientEndHue", 240.0,
            "gradientEndSaturation", 100.0,
            "gradientLength", 50.0);
    Picture out = Pictures.through(grey, Pictures.veil("overlay", blue));
    assertThat(out.b()[98 * 200 + 100]).isGreaterThan(0.95f);
    assertThat(out.b()[2 * 200 + 100]).isLessThan(0.52f);
    Map<String, Object> later = new java.util.HashMap<>(blue);
    later.put("gradientMiddle", 80.0);
    Picture moved = Pictures.through(grey, Pictures.veil("overlay", later));
    assertThat(moved.b()[50 * 200 + 100]).isLessThan(out.b()[50 * 200 + 100] - 0.1f);
  }

  @Test
  void theFlareIsBrightestAtItsPlaceAndThrowsGhostsThroughTheMiddle() {
    Picture black = Pictures.flat(300, 200, 0, 0, 0);
    Map<String, Object> corner =
        Map.of("flare", 100.0, "flareX", 20.0, "flareY", 50.0, "flareSize", 5.0);
    Picture out = Pictures.through(black, Pictures.veil("overlay", corner));
    int row = 100 * 300;
    assertThat(out.r()[row + 60]).isGreaterThan(0.9f);
    float ghost = out.r()[row + 60 + (int) (90 * 1.8)];
    assertThat(ghost).isGreaterThan(out.r()[40 * 300 + 60 + (int) (90 * 1.8)] + 0.05f);
    assertThat(out.r()[row + 60]).as("warm light").isGreaterThan(out.b()[row + 60]);
  }

  /** A ghost of a flare at 20, 50 % lies at 60 + 90 · 1.8 · spread along the line, 20 wide. */
  private static float ghost(Picture out, double turn, double spread) {
    double far = 90 * 1.8 * spread;
    int x = (int) Math.round(60 + far * Math.cos(Math.toRadians(turn)));
    int y = (int) Math.round(100 + far * Math.sin(Math.toRadians(turn)));
    return out.r()[y * 300 + x];
  }

  @Test
  void aFlareTurnsAboutItsSourceAndSpreadsAlongItsLine() {
    Picture black = Pictures.flat(300, 200, 0, 0, 0);
    Map<String, Object> left = Map.of("flare", 100, "flareX", 20, "flareY", 50, "flareSize", 5);
    Map<String, Object> turned = new java.util.HashMap<>(left);
    turned.put("flareAngle", 30);
    turned.put("flareSpread", 80);
    Picture as = laid(black, left);
    Picture moved = laid(black, turned);
    assertThat(ghost(moved, 30, 0.8)).isCloseTo(ghost(as, 0, 1), within(0.02f));
    assertThat(ghost(moved, 30, 0.8)).isGreaterThan(ghost(as, 30, 0.8) + 0.1f);
    assertThat(ghost(moved, 0, 1)).isLessThan(ghost(as, 0, 1) - 0.1f);
  }

  @Test
  void aBlurredFlareHasNoRimsAndAsMuchLightAtItsSource() {
    Picture black = Pictures.flat(300, 200, 0, 0, 0);
    Map<String, Object> left = Map.of("flare", 100, "flareX", 20, "flareY", 50, "flareSize", 8);
    Map<String, Object> blurred = new java.util.HashMap<>(left);
    blurred.put("flareBlur", 100);
    Picture sharp = laid(black, left);
    Picture soft = laid(black, blurred);
    assertThat(steepest(soft)).isLessThan(steepest(sharp) / 3);
    assertThat(soft.r()[100 * 300 + 60]).isCloseTo(sharp.r()[100 * 300 + 60], within(0.05f));
  }

  /** Greatest step beyond the source, where rims of ghosts are. */
  private static float steepest(Picture p) {
    float most = 0;
    for (int x = 120; x < 299; x++) {
      most = Math.max(most, Math.abs(p.r()[100 * 300 + x + 1] - p.r()[100 * 300 + x]));
    }
    return most;
  }
}

package org.nineveils.veil.overlay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Looks;
import org.nineveils.testing.Pictures;

class PlacedPictureTest {
  private static final String SHA = "ab".repeat(32);

  /** Left half red, right half blue, the top row of both lighter. */
  private static Picture halves(int width, int height) {
    Picture p = Pictures.flat(width, height, 0, 0, 0);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        p.r()[i] = x < width / 2 ? 0.8f : 0;
        p.b()[i] = x < width / 2 ? 0 : 0.8f;
        p.g()[i] = y < height / 4 ? 0.5f : 0;
      }
    }
    return p;
  }

  private static Picture laid(Picture photo, Picture texture, Map<String, ?> settings) {
    Map<String, Object> all = new LinkedHashMap<>(settings);
    all.put("picture", SHA);
    Stack stack = Stack.of(Bundle.of(List.of(Pictures.veil("overlay", all))));
    Manner manner = Manner.exact().picturesFrom(sha -> Optional.of(texture));
    return Renderer.render(photo, photo.area(), stack, manner);
  }

  private static final Picture GREY = Pictures.flat(120, 60, 0.5, 0.5, 0.5);

  private static float[] at(Picture p, int x, int y) {
    int i = y * p.width() + x;
    return new float[] {p.r()[i], p.g()[i], p.b()[i]};
  }

  @Test
  void aPictureOfTheSameShapeIsLaidOverPixelByPixel() {
    Picture texture = Pictures.random(120, 60, 4);
    assertThat(Pictures.farthest(laid(GREY, texture, Map.of()), texture)).isLessThan(1e-5);
  }

  @Test
  void fillingCoversTheFrameAndFittingLeavesThePhotoBesideIt() {
    Picture square = halves(60, 60);
    Picture filled = laid(GREY, square, Map.of("pictureFit", "fill"));
    assertThat(at(filled, 1, 30)[0]).isCloseTo(0.8f, within(0.01f));
    Picture fitted = laid(GREY, square, Map.of("pictureFit", "fit"));
    assertThat(at(fitted, 1, 30)).containsExactly(0.5f, 0.5f, 0.5f);
    assertThat(at(fitted, 40, 30)[0]).isCloseTo(0.8f, within(0.01f));
    assertThat(at(fitted, 80, 30)[2]).isCloseTo(0.8f, within(0.01f));
  }

  @Test
  void repeatingLaysTheSameAtEveryWidth() {
    Picture tiled = laid(GREY, halves(40, 40), Map.of("pictureFit", "tile", "pictureScale", 50));
    for (int x = 5; x < 85; x++) {
      assertThat(at(tiled, x, 31)[0]).isCloseTo(at(tiled, x + 30, 31)[0], within(0.02f));
    }
  }

  @Test
  void mirroringAndTurningAreAboutTheMiddle() {
    Picture texture = halves(120, 60);
    Picture across = laid(GREY, texture, Map.of("pictureMirror", "across"));
    assertThat(at(across, 20, 30)[2]).isCloseTo(0.8f, within(0.01f));
    Picture down = laid(GREY, texture, Map.of("pictureMirror", "down"));
    assertThat(at(down, 20, 58)[1]).isCloseTo(0.5f, within(0.01f));
    Picture turned = laid(GREY, texture, Map.of("pictureAngle", 180));
    Picture both = laid(GREY, texture, Map.of("pictureMirror", "both"));
    assertThat(Pictures.farthest(turned, both)).isLessThan(1e-3);
  }

  @Test
  void theAmountMixesItIn() {
    Picture half = laid(GREY, halves(120, 60), Map.of("pictureAmount", 50));
    assertThat(at(half, 20, 40)[0]).isCloseTo(0.65f, within(0.01f));
  }

  /** Sizes and places are shares: the full frame scaled down looks like the preview. */
  @Test
  void itLooksTheSameAtQuarterSize() {
    Picture texture = Scaling.toLongSide(Pictures.photo("pet-ginger-cat"), 700);
    Map<String, Object> settings =
        Map.of("pictureFit", "tile", "pictureScale", 60, "pictureAngle", 20, "pictureX", 30);
    Picture full = Pictures.flat(1600, 1200, 0.5, 0.5, 0.5);
    Picture small = Pictures.flat(400, 300, 0.5, 0.5, 0.5);
    Picture fromFull = Scaling.toLongSide(laid(full, texture, settings), 400);
    assertThat(Looks.apart(fromFull, laid(small, texture, settings)).mean()).isLessThan(1.5);
  }

  @Test
  void aPartIsThatPartOfTheWholeAndAMissingPictureChangesNothing() {
    Map<String, Object> all = Map.of("picture", SHA, "pictureAngle", 33.0, "pictureFit", "tile");
    Stack stack = Stack.of(Bundle.of(List.of(Pictures.veil("overlay", all))));
    Picture texture = Pictures.random(50, 30, 8);
    Manner manner = Manner.exact().picturesFrom(sha -> Optional.of(texture));
    Picture whole = Renderer.render(GREY, GREY.area(), stack, manner);
    Area area = new Area(31, 12, 40, 30);
    Picture part = Renderer.render(GREY, area, stack, manner);
    for (int y = 0; y < 30; y++) {
      for (int x = 0; x < 40; x++) {
        assertThat(at(part, x, y)).isEqualTo(at(whole, 31 + x, 12 + y));
      }
    }
    assertThat(Pictures.same(Renderer.render(GREY, stack), GREY)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(doubles = {7, 30, 45, 90, 135, -60})
  void whatFillsTheFrameFillsItAndWhatFitsIntoItFitsHoweverItIsTurned(double angle) {
    Picture texture = Pictures.flat(50, 40, 0.9, 0.1, 0.1);
    Picture filled = laid(GREY, texture, Map.of("pictureFit", "fill", "pictureAngle", angle));
    assertThat(left(filled)).as("grey left at %s", angle).isZero();
    Map<String, Object> fit = Map.of("pictureFit", "fit", "pictureAngle", angle);
    Picture fitted = laid(GREY, texture, fit);
    // Nothing of it is cut off: its share is that of 50 × 40 scaled until it touches.
    double cos = Math.abs(Math.cos(Math.toRadians(angle)));
    double sin = Math.abs(Math.sin(Math.toRadians(angle)));
    double scale = Math.min(120 / (50 * cos + 40 * sin), 60 / (50 * sin + 40 * cos));
    assertThat(120 * 60 - left(fitted)).isCloseTo((int) (50 * 40 * scale * scale), within(90));
  }

  private static int left(Picture p) {
    int grey = 0;
    for (float g : p.g()) {
      grey += g == 0.5f ? 1 : 0;
    }
    return grey;
  }
}

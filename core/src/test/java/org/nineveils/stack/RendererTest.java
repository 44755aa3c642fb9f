package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Veil;

class RendererTest {
  private static final Stroke EVERYWHERE =
      new Stroke(
          List.of(0.0, 0.0, 1.0, 0.0, 1.0, 1.0, 0.0, 1.0, 0.0, 0.3, 1.0, 0.3), 1, 0, 1, 1, true);

  private static Veil light(double stops) {
    return Pictures.veil("light", Map.of("exposure", stops));
  }

  private static Veil with(Veil v, String id, BlendMode blend, double opacity, Mask mask) {
    return new Veil(id, v.name(), v.kind(), v.settings(), blend, opacity, false, mask, "");
  }

  private static Picture render(
      Picture picture, Map<String, Paint> paint, double opacity, Veil... veils) {
    return Renderer.render(picture, Stack.of(new Bundle(List.of(veils), paint, opacity)));
  }

  /** out = mix(in, adjust(in), opacity): the formula of the stack. */
  /** Through a blur whose reach crosses strips, and rules that look at the photo. */
  @Test
  void stripsAreTheSameBitsAsTheWhole() {
    Picture photo = Pictures.random(150, 230, 12);
    Mask rule =
        new Mask(Cover.BY_RULE, List.of(Pictures.rule("brightness", Map.of("from", 0, "to", 50))));
    List<Veil> veils =
        List.of(
            Pictures.veil("soft", Map.of("blur", 8)).withMask(rule),
            Pictures.veil("crisp", Map.of("large", 60, "clear", 40)),
            Pictures.veil("overlay", Map.of("grain", 40)));
    Stack stack = new Stack(List.of(new Bundle(veils, Map.of(), 0.7)));
    Picture whole = Renderer.render(photo, stack);
    Strips strips = Renderer.strips(photo, stack, Manner.exact(), 64);
    for (int top = 0; top < 230; top += 64) {
      Picture strip = strips.strip(top);
      Area area = new Area(0, top, 150, strip.height());
      assertThat(Pictures.same(strip, Part.whole(whole).cut(area).picture())).isTrue();
    }
  }

  @Test
  void opacityMixesTheAdjustedPictureWithWhatIsBelow() {
    Picture picture = Pictures.random(40, 30, 1);
    Picture full = Pictures.through(picture, light(1));
    Picture part = Pictures.through(picture, light(1).withOpacity(0.3));
    for (int i = 0; i < 1200; i++) {
      double expected = picture.r()[i] + (full.r()[i] - picture.r()[i]) * 0.3;
      assertThat((double) part.r()[i]).isCloseTo(expected, within(1e-6));
    }
  }

  /** Common practice, no published source: two equal veils of opacity a cover 1 − (1 − a)². */
  @Test
  void twoEqualVeilsCoverMoreThanOneAndLessThanTwo() {
    Picture black = Pictures.flat(8, 8, 0, 0, 0);
    Veil white = Pictures.veil("curve", Map.of("outBlack", 255));
    Veil first = with(white, "a", BlendMode.NORMAL, 0.4, Mask.EVERYWHERE);
    Veil second = with(white, "b", BlendMode.NORMAL, 0.4, Mask.EVERYWHERE);
    Picture out = Pictures.through(black, first, second);
    assertThat((double) out.g()[0]).isCloseTo(1 - 0.6 * 0.6, within(1e-6));
  }

  @Test
  void liftedVeilsZeroOpacityAndUnpaintedBrushVeilsChangeNothingBitForBit() {
    Picture picture = Pictures.random(50, 20, 2);
    Veil strong = light(2);
    Picture out =
        Pictures.through(
            picture,
            with(strong.withLifted(true), "a", BlendMode.NORMAL, 1, Mask.EVERYWHERE)
                .withLifted(true),
            with(strong, "b", BlendMode.SCREEN, 0, Mask.EVERYWHERE),
            with(strong, "c", BlendMode.NORMAL, 1, Mask.BRUSH_ON));
    assertThat(Pictures.same(picture, out)).isTrue();
  }

  @Test
  void aMaskOfOnesIsNoMask() {
    Picture picture = Pictures.random(60, 60, 3);
    Veil veil = with(light(0.7), "a", BlendMode.SOFT_LIGHT, 0.8, Mask.EVERYWHERE);
    Veil brushed = with(light(0.7), "a", BlendMode.SOFT_LIGHT, 0.8, Mask.BRUSH_ON);
    Picture plain = render(picture, Map.of(), 1, veil);
    Picture painted = render(picture, Map.of("a", new Paint(List.of(EVERYWHERE))), 1, brushed);
    assertThat(Pictures.farthest(plain, painted)).isLessThan(1e-6);
  }

  @Test
  void paintOnlyTouchesWhereTheBrushWent() {
    Picture picture = Pictures.random(200, 100, 4);
    Stroke dot = new Stroke(List.of(0.25, 0.25), 0.1, 0, 1, 1, true);
    Veil brushed = with(light(1), "a", BlendMode.NORMAL, 1, Mask.BRUSH_ON);
    Picture out = render(picture, Map.of("a", new Paint(List.of(dot))), 1, brushed);
    assertThat(out.r()[50 * 200 + 50]).isGreaterThan(picture.r()[50 * 200 + 50]);
    assertThat(out.r()[50 * 200 + 150]).isEqualTo(picture.r()[50 * 200 + 150]);
  }

  /** A bundle at opacity a is the mix of the picture below it and the finished bundle. */
  @Test
  void aBundlesOpacityActsOnItsVeilsTogether() {
    Picture picture = Pictures.random(70, 40, 5);
    Veil a = with(light(1), "a", BlendMode.SCREEN, 0.7, Mask.EVERYWHERE);
    Veil b =
        with(
            Pictures.veil("tint", Map.of("monochrome", 100)),
            "b",
            BlendMode.NORMAL,
            0.9,
            Mask.EVERYWHERE);
    Picture full = render(picture, Map.of(), 1, a, b);
    Picture half = render(picture, Map.of(), 0.5, a, b);
    for (int i = 0; i < 2800; i++) {
      assertThat((double) half.b()[i]).isCloseTo((picture.b()[i] + full.b()[i]) / 2, within(1e-6));
    }
  }

  @Test
  void bundlesAreRenderedInOrder() {
    Picture picture = Pictures.random(30, 30, 6);
    Bundle first = Bundle.of(List.of(light(1)));
    Bundle second =
        new Bundle(List.of(Pictures.veil("tint", Map.of("monochrome", 100))), Map.of(), 0.6);
    Picture together = Renderer.render(picture, new Stack(List.of(first, second)));
    Picture stepwise = Renderer.render(Renderer.render(picture, Stack.of(first)), Stack.of(second));
    assertThat(Pictures.same(together, stepwise)).isTrue();
  }

  private static Stack rich() {
    List<Veil> veils = new ArrayList<>();
    veils.add(with(light(0.4), "a", BlendMode.NORMAL, 0.8, Mask.EVERYWHERE));
    veils.add(
        with(
            Pictures.veil("curve", Map.of("outBlack", 20, "gamma", 1.2)),
            "b",
            BlendMode.LUMINOSITY,
            1,
            Mask.EVERYWHERE));
    veils.add(
        with(
            Pictures.veil("tint", Map.of("monochrome", 40, "colourise", 30)),
            "c",
            BlendMode.SOFT_LIGHT,
            0.5,
            Mask.BRUSH_ON));
    veils.add(
        with(
            Pictures.veil("edge", Map.of("amount", -1)),
            "d",
            BlendMode.NORMAL,
            1,
            Mask.EVERYWHERE));
    Stroke s = new Stroke(List.of(0.2, 0.2, 0.7, 0.5), 0.3, 0.7, 0.9, 0.5, true);
    return new Stack(List.of(new Bundle(veils, Map.of("c", new Paint(List.of(s))), 0.9)));
  }

  @Test
  void tilesPutTogetherAreTheWholeBitForBit() {
    Picture picture = Pictures.random(2500, 61, 7);
    Picture whole = Renderer.render(picture, rich());
    CoverageSource masks = new CoverageCache(1_000_000);
    for (int x = 0; x < 2500; x += 333) {
      for (int y = 0; y < 61; y += 17) {
        Area tile = new Area(x, y, Math.min(333, 2500 - x), Math.min(17, 61 - y));
        Picture part = Renderer.render(picture, tile, rich(), Manner.exact().masksFrom(masks));
        for (int row = 0; row < tile.height(); row++) {
          for (int col = 0; col < tile.width(); col++) {
            int i = (y + row) * 2500 + x + col;
            assertThat(part.g()[row * tile.width() + col]).isEqualTo(whole.g()[i]);
          }
        }
      }
    }
  }

  @Test
  void theResultDoesNotDependOnTheNumberOfThreads() throws Exception {
    Picture picture = Pictures.random(700, 90, 8);
    Picture many = Renderer.render(picture, rich());
    ForkJoinPool one = new ForkJoinPool(1);
    try {
      Picture single = one.submit(() -> Renderer.render(picture, rich())).get();
      assertThat(Pictures.same(many, single)).isTrue();
    } finally {
      one.shutdown();
    }
  }

  @Test
  void theSourceIsLeftAsItWas() {
    Picture picture = Pictures.random(100, 50, 9);
    float[] before = picture.r().clone();
    Renderer.render(picture, rich());
    assertThat(picture.r()).isEqualTo(before);
  }

  @Test
  void aRenderThatIsNoLongerWantedStops() {
    Picture picture = Pictures.random(100, 400, 10);
    AtomicInteger rows = new AtomicInteger();
    Cancel afterSome = () -> rows.incrementAndGet() > 20;
    assertThatThrownBy(
            () ->
                Renderer.render(
                    picture, picture.area(), rich(), Manner.exact().cancelledBy(afterSome)))
        .isInstanceOf(Cancelled.class);
    assertThat(rows.get()).isLessThan(400);
  }

  @Test
  void anAreaOutsideThePictureIsRefused() {
    Picture picture = Pictures.random(10, 10, 11);
    assertThatThrownBy(
            () -> Renderer.render(picture, new Area(5, 5, 6, 2), Stack.plain(), Manner.exact()))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("outside");
  }

  @Test
  void aPictureOfOnePixelIsRenderedToo() {
    Picture out = Renderer.render(Pictures.flat(1, 1, 0.5, 0.4, 0.3), rich());
    assertThat(out.r()[0]).isBetween(0f, 1f);
  }

  @Test
  void keptCoverageIsTheSameAsFreshCoverage() {
    Picture picture = Pictures.random(300, 200, 12);
    CoverageCache cache = new CoverageCache(100_000);
    Picture fresh = Renderer.render(picture, rich());
    for (int round = 0; round < 3; round++) {
      Picture kept =
          Renderer.render(picture, picture.area(), rich(), Manner.exact().masksFrom(cache));
      assertThat(Pictures.same(fresh, kept)).isTrue();
    }
  }
}

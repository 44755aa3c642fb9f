package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Veil;

/** Strips of a picture, rendered from the top. */
class DescentTest {
  private static final Picture PHOTO = Pictures.random(120, 300, 12);
  private static final Stroke LINE = new Stroke(List.of(0.1, 0.1, 0.3, 0.9), 0.2, 0.5, 1, 1, true);
  private static final Map<String, Paint> PAINT = Map.of("p", new Paint(List.of(LINE)));

  private static Veil named(String id, Veil v) {
    return new Veil(
        id, id, v.kind(), v.settings(), v.blend(), v.opacity(), v.lifted(), v.mask(), "");
  }

  /** A painted veil below others that look far around. */
  private static List<Veil> veils() {
    return List.of(
        named("p", Pictures.veil("soft", Map.of("smooth", 60)).withMask(Mask.BRUSH_ON)),
        named("q", Pictures.veil("light", Map.of("exposure", 0.4))),
        named("r", Pictures.veil("crisp", Map.of("medium", 50, "clear", 30))),
        named("s", Pictures.veil("soft", Map.of("blur", 12)).withOpacity(0.5)),
        named("t", Pictures.veil("edge", Map.of("amount", -1))));
  }

  private static Stack twoBundles() {
    return new Stack(
        List.of(new Bundle(veils(), PAINT, 0.7), new Bundle(veils(), PAINT, 1), plain()));
  }

  private static Bundle plain() {
    return new Bundle(List.of(Pictures.veil("crisp", Map.of("sharp", 50))), Map.of(), 0.4);
  }

  private static void isPartOf(Picture whole, int top, Picture strip) {
    Area area = new Area(0, top, PHOTO.width(), strip.height());
    assertThat(Pictures.same(strip, Part.whole(whole).cut(area).picture())).isTrue();
  }

  @Test
  void stripsOfBundlesThatAreMixedLaterAreTheSameBitsAsTheWhole() {
    Picture whole = Renderer.render(PHOTO, twoBundles());
    for (int rows : new int[] {32, 64, 128, 300}) {
      Strips strips = Renderer.strips(PHOTO, twoBundles(), Manner.exact(), rows);
      for (int top = 0; top < PHOTO.height(); top += rows) {
        isPartOf(whole, top, strips.strip(top));
      }
    }
  }

  @Test
  void aStripOutOfTurnBeginsAnew() {
    Picture whole = Renderer.render(PHOTO, twoBundles());
    Strips strips = Renderer.strips(PHOTO, twoBundles(), Manner.exact(), 64);
    for (int top : new int[] {128, 192, 0, 256, 64, 64}) {
      isPartOf(whole, top, strips.strip(top));
    }
  }

  @Test
  void withoutVeilsStripsAreThePhoto() {
    Strips strips = Renderer.strips(PHOTO, new Stack(List.of()), Manner.exact(), 64);
    isPartOf(PHOTO, 64, strips.strip(64));
  }

  /** A margin that is rendered for each strip anew costs more than the strip. */
  @Test
  void everyRowIsMadeOnce() {
    int[] covered = {0};
    Manner counting =
        Manner.exact()
            .masksFrom(
                (mask, paint, photo, area) -> {
                  covered[0] += area.pixels();
                  return CoverageSource.FRESH.coverage(mask, paint, photo, area);
                });
    Stack stack = Stack.of(new Bundle(veils(), PAINT, 1));
    Strips strips = Renderer.strips(PHOTO, stack, counting, 64);
    for (int top = 0; top < PHOTO.height(); top += 64) {
      strips.strip(top);
    }
    assertThat(covered[0]).isEqualTo(PHOTO.area().pixels());
  }

  /**
   * Of each leg what the next has still to see; of the last leg, and behind the last strip,
   * nothing.
   */
  @Test
  void noMoreIsHeldThanTheLegsAfterItHaveToSee() {
    Stack stack = Stack.of(new Bundle(veils(), PAINT, 1));
    Descent descent = new Descent(PHOTO, stack, Manner.exact(), 64);
    descent.strip(0);
    assertThat(descent.heldPixels()).isPositive().isLessThan(2L * PHOTO.area().pixels());
    for (int top = 64; top < PHOTO.height(); top += 64) {
      descent.strip(top);
    }
    assertThat(descent.heldPixels()).isZero();
    Descent whole = new Descent(PHOTO, twoBundles(), Manner.exact(), PHOTO.height());
    whole.strip(0);
    assertThat(whole.heldPixels()).isZero();
  }
}

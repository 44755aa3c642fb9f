package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Veil;

class LiveViewTest {
  private static final Picture PHOTO = Pictures.random(420, 280, 31);
  private static final Stroke DAB =
      new Stroke(List.of(0.3, 0.2, 0.35, 0.25), 0.05, 0.5, 1, 1, true);

  private static Veil veil(String id, String kind, Map<String, ?> settings, Mask mask) {
    Veil v = Pictures.veil(kind, settings);
    return new Veil(id, id, v.kind(), v.settings(), BlendMode.NORMAL, 0.9, false, mask, "");
  }

  /** Twelve veils with three that look around and two to brush on. */
  private static List<Veil> twelve() {
    List<Veil> veils = new ArrayList<>();
    veils.add(veil("a", "light", Map.of("exposure", 0.2), Mask.EVERYWHERE));
    veils.add(veil("b", "curve", Map.of("gamma", 1.1), Mask.EVERYWHERE));
    veils.add(veil("c", "soft", Map.of("smooth", 60, "smoothSize", 8), Mask.BRUSH_ON));
    veils.add(veil("d", "colour", Map.of("saturation", 10), Mask.EVERYWHERE));
    veils.add(veil("e", "ink", Map.of("poppyCyan", 20.0), Mask.EVERYWHERE));
    veils.add(veil("f", "tint", Map.of("colourise", 20), Mask.EVERYWHERE));
    veils.add(veil("g", "soft", Map.of("blur", 5), Mask.BRUSH_ON));
    veils.add(veil("h", "light", Map.of("contrast", 10), Mask.EVERYWHERE));
    veils.add(veil("i", "crisp", Map.of("medium", 30), Mask.EVERYWHERE));
    veils.add(veil("j", "curve", Map.of("outBlack", 8), Mask.EVERYWHERE));
    veils.add(veil("k", "overlay", Map.of("grain", 20), Mask.EVERYWHERE));
    veils.add(veil("l", "edge", Map.of("amount", -0.6), Mask.EVERYWHERE));
    return veils;
  }

  private static Map<String, Paint> painted(Stroke... strokes) {
    Stroke wide = new Stroke(List.of(0.6, 0.5), 0.4, 0.6, 1, 1, true);
    return Map.of("c", new Paint(List.of(wide)), "g", new Paint(List.of(strokes)));
  }

  private static void holds(LiveView view, Stack stack) {
    Picture shown = view.render(PHOTO, stack, Manner.exact()).picture();
    assertThat(Pictures.same(shown, Renderer.render(PHOTO, stack))).isTrue();
  }

  @Test
  void whateverChangesThePictureIsWhatTheRendererMakes() {
    Random random = new Random(8);
    LiveView view = new LiveView();
    List<Veil> veils = twelve();
    Map<String, Paint> paint = painted(DAB);
    double opacity = 1;
    for (int round = 0; round < 60; round++) {
      int i = random.nextInt(veils.size());
      switch (random.nextInt(7)) {
        case 0 -> veils.set(i, veils.get(i).withLifted(!veils.get(i).lifted()));
        case 1 -> veils.set(i, veils.get(i).withOpacity(random.nextDouble()));
        case 2 -> veils.add(random.nextInt(veils.size()), veils.remove(i));
        case 3 -> paint = painted(DAB, dab(random), dab(random));
        case 4 -> opacity = random.nextBoolean() ? 1 : random.nextDouble();
        case 5 -> paint = painted();
        default -> paint = painted(dab(random));
      }
      holds(view, Stack.of(new Bundle(veils, paint, opacity)));
    }
  }

  private static Stroke dab(Random random) {
    return new Stroke(
        List.of(random.nextDouble(), 0.6 * random.nextDouble()), 0.06, 0.5, 1, 0.6, true);
  }

  @Test
  void aStrokeTouchesOnlyWhatTheBrushAndTheVeilsAboveCanReach() {
    LiveView view = new LiveView();
    Stroke first = new Stroke(List.of(0.8, 0.5), 0.05, 0.5, 1, 1, true);
    view.render(PHOTO, Stack.of(new Bundle(twelve(), painted(first), 1)), Manner.exact());
    Stack stack = Stack.of(new Bundle(twelve(), painted(first, DAB), 1));
    LiveView.Finished next = view.render(PHOTO, stack, Manner.exact());
    Area changed = next.changed();
    assertThat(changed.pixels()).isLessThan(PHOTO.area().pixels() / 2);
    assertThat(changed.contains(new Area(125, 84, 20, 20))).isTrue();
    assertThat(Pictures.same(next.picture(), Renderer.render(PHOTO, stack))).isTrue();
  }

  /** Undoing a stroke must not bring a picture back that the stroke was painted into. */
  @Test
  void strokesThatComeAndGoLeaveNothingBehind() {
    LiveView view = new LiveView();
    List<Veil> all = twelve();
    List<Veil> fewer = all.subList(0, 7);
    holds(view, Stack.of(new Bundle(all, painted(DAB), 1)));
    holds(view, Stack.of(new Bundle(fewer, painted(DAB), 1)));
    holds(view, Stack.of(new Bundle(fewer, painted(DAB, DAB), 1)));
    holds(view, Stack.of(new Bundle(fewer, painted(DAB), 1)));
    holds(view, Stack.of(new Bundle(all, painted(DAB), 1)));
  }

  /**
   * Another effect is put on, taken off again, and a third one brushed on: its strokes once lay on
   * top of each other in the view, since the finished picture was that of a kept state.
   */
  @Test
  void strokesOfAnEffectPutOnAfterOneThatWasTakenOffAreLaidOnce() {
    LiveView view = new LiveView();
    Bundle a = Bundle.of(List.of(veil("a", "light", Map.of("exposure", 0.3), Mask.EVERYWHERE)));
    Bundle b = Bundle.of(List.of(veil("b", "curve", Map.of("gamma", 1.3), Mask.EVERYWHERE)));
    List<Veil> brushed = List.of(veil("c", "light", Map.of("exposure", 1), Mask.BRUSH_ON));
    holds(view, Stack.of(a));
    holds(view, new Stack(List.of(a, b)));
    holds(view, Stack.of(a));
    for (int points = 1; points <= 3; points++) {
      List<Double> way = List.of(0.3, 0.3, 0.4, 0.3, 0.5, 0.3).subList(0, 2 * points);
      Paint paint = new Paint(List.of(new Stroke(way, 0.1, 0.5, 1, 1, true)));
      holds(view, new Stack(List.of(a, new Bundle(brushed, Map.of("c", paint), 1))));
    }
  }

  @Test
  void veilsBelowTheOneThatChangesAreNotRunAgain() {
    LiveView view = new LiveView();
    int[] asked = new int[1];
    CoverageSource counting =
        (mask, paint, plain, area) -> {
          asked[0]++;
          return CoverageSource.FRESH.coverage(mask, paint, plain, area);
        };
    Manner manner = Manner.exact().masksFrom(counting);
    List<Veil> veils = twelve();
    for (int round = 0; round < 4; round++) {
      veils.set(9, veil("j", "curve", Map.of("outBlack", 8 + round), Mask.EVERYWHERE));
      view.render(PHOTO, Stack.of(new Bundle(veils, painted(DAB), 1)), manner);
    }
    assertThat(asked[0]).isEqualTo(2); // two painted veils, for the first picture only
  }

  @Test
  void aCancelledPictureLeavesTheViewAsItWas() {
    LiveView view = new LiveView();
    Stack first = Stack.of(new Bundle(twelve(), painted(DAB), 1));
    view.render(PHOTO, first, Manner.exact());
    List<Veil> other = twelve();
    other.set(1, other.get(1).withOpacity(0.2));
    Stack second = Stack.of(new Bundle(other, painted(DAB), 1));
    Manner cancelled = Manner.exact().cancelledBy(() -> true);
    assertThatThrownBy(() -> view.render(PHOTO, second, cancelled)).isInstanceOf(Cancelled.class);
    holds(view, first);
    holds(view, second);
  }

  @Test
  void aFloodOfRequestsStillGetsAPictureNowAndThen() {
    long[] now = {0};
    LiveView view = new LiveView(() -> now[0]);
    Stack stack = Stack.of(new Bundle(twelve(), painted(DAB), 1));
    Manner soonOvertaken = Manner.exact().cancelledBy(overtakenAfterOneLook());
    assertThatThrownBy(() -> view.render(PHOTO, stack, soonOvertaken))
        .isInstanceOf(Cancelled.class);
    now[0] = 250_000_000L;
    Manner again = Manner.exact().cancelledBy(overtakenAfterOneLook());
    assertThat(view.render(PHOTO, stack, again).turn()).isEqualTo(1);
    Manner outdated = Manner.exact().cancelledBy(() -> true);
    now[0] = 900_000_000L;
    assertThatThrownBy(() -> view.render(PHOTO, stack, outdated)).isInstanceOf(Cancelled.class);
  }

  /** A veil of several parts that look around asks between them, and within their rows. */
  @Test
  void aChainThatLooksAroundAsksWhetherItIsStillWanted() {
    Veil chain =
        veil("z", "soft", Map.of("smooth", 60, "blur", 3, "glow", 40, "haze", 20), Mask.EVERYWHERE);
    Stack stack = Stack.of(new Bundle(List.of(chain), Map.of(), 1));
    AtomicInteger asked = new AtomicInteger();
    Picture done =
        Renderer.render(
            PHOTO,
            PHOTO.area(),
            stack,
            Manner.exact().cancelledBy(() -> asked.incrementAndGet() < 0));
    assertThat(done.width()).isEqualTo(PHOTO.width());
    int rowsOfOneLeg = PHOTO.height();
    assertThat(asked.get())
        .as("more often than once a row of the leg")
        .isGreaterThan(2 * rowsOfOneLeg);
  }

  private static Cancel overtakenAfterOneLook() {
    int[] looks = {0};
    return () -> looks[0]++ > 0;
  }

  @Test
  void anotherPhotoBeginsAfresh() {
    LiveView view = new LiveView();
    Stack stack = Stack.of(new Bundle(twelve(), painted(DAB), 1));
    holds(view, stack);
    Picture other = Pictures.random(300, 200, 32);
    LiveView.Finished next = view.render(other, stack, Manner.exact());
    assertThat(next.changed()).isEqualTo(other.area());
    assertThat(Pictures.same(next.picture(), Renderer.render(other, stack))).isTrue();
  }
}

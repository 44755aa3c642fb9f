package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.blend.BlendMode;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Pressure;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Veil;

/**
 * Whatever a maker does, in whatever order: what a view shows is, bit for bit, what the renderer
 * makes of the stack afresh, also after pictures that were cancelled or failed half-way.
 */
class LiveViewWalkTest {
  /** Steps of one walk; -Dnineveils.walk=33400 makes the long walk of 100 000 in all. */
  private static final int STEPS = Integer.getInteger("nineveils.walk", 1700);

  private static final Picture[] PHOTOS = {
    Pictures.random(44, 30, 1), Pictures.random(26, 38, 2), Pictures.random(90, 60, 3)
  };

  private static final List<Mask> MASKS =
      List.of(
          Mask.EVERYWHERE,
          Mask.EVERYWHERE,
          Mask.BRUSH_ON,
          Mask.BRUSH_ON,
          new Mask(
              Cover.BRUSH_ON, List.of(Pictures.rule("brightness", Map.of("from", 30, "to", 90)))),
          new Mask(
              Cover.BY_RULE, List.of(Pictures.rule("brightness", Map.of("from", 0, "to", 40)))),
          new Mask(Cover.BRUSH_ON, List.of(), 30, 0),
          new Mask(Cover.BRUSH_ON, List.of(), -20, 15),
          new Mask(
              Cover.BY_RULE,
              List.of(Pictures.rule("brightness", Map.of("from", 0, "to", 50))),
              20,
              10));

  private static final int MOST_BUNDLES = 4;
  private static final int MOST_STROKES = 5;

  /** What is worn, and by which photo. */
  private record Worn(int photo, List<Bundle> bundles) {
    Worn with(int index, Bundle bundle) {
      List<Bundle> out = new ArrayList<>(bundles);
      out.set(index, bundle);
      return new Worn(photo, out);
    }
  }

  private Random random;
  private int made;

  private Veil veil() {
    Map<String, Map<String, ?>> kinds =
        Map.of(
            "light", Map.of("exposure", 0.3),
            "curve", Map.of("gamma", 1.2),
            "colour", Map.of("saturation", 20),
            "tint", Map.of("colourise", 30),
            "soft", Map.of("blur", 4),
            "crisp", Map.of("medium", 30),
            "edge", Map.of("amount", -1),
            "overlay", Map.of("grain", 30, "shaft", 20),
            "ink", Map.of("poppyCyan", 20.0));
    List<String> names = kinds.keySet().stream().sorted().toList();
    String kind = names.get(random.nextInt(names.size()));
    boolean clears = kind.equals("crisp") && random.nextInt(3) == 0; // looks at the whole picture
    Mask mask = MASKS.get(random.nextInt(MASKS.size()));
    Veil plain = Pictures.veil(kind, clears ? Map.of("clear", 40) : kinds.get(kind));
    BlendMode blend = random.nextInt(4) == 0 ? BlendMode.MULTIPLY : BlendMode.NORMAL;
    String id = "v" + made++;
    return new Veil(id, id, plain.kind(), plain.settings(), blend, 0.9, false, mask, "");
  }

  private Bundle bundle() {
    List<Veil> veils = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(3); i++) {
      veils.add(veil());
    }
    return Bundle.of(veils);
  }

  private Stroke stroke() {
    List<Double> points = new ArrayList<>();
    for (int i = 0; i <= random.nextInt(3); i++) {
      points.add(random.nextDouble());
      points.add(random.nextDouble());
    }
    double size = 0.1 + 0.2 * random.nextDouble();
    boolean reveals = random.nextInt(4) > 0;
    double holding = random.nextInt(3) == 0 ? 20 : 0;
    return new Stroke(points, size, 0.5, 1, 0.7, reveals, Pressure.NONE, holding);
  }

  private Paint repainted(Paint paint) {
    List<Stroke> strokes = new ArrayList<>(paint.strokes());
    if (strokes.size() >= MOST_STROKES || (!strokes.isEmpty() && random.nextInt(4) == 0)) {
      strokes.remove(strokes.size() - 1);
    } else {
      strokes.add(stroke());
    }
    return new Paint(strokes);
  }

  private Worn next(Worn now) {
    int at = now.bundles.isEmpty() ? -1 : random.nextInt(now.bundles.size());
    int what = at < 0 ? 0 : random.nextInt(15);
    List<Bundle> all = new ArrayList<>(now.bundles);
    if (what == 0 || what == 1) {
      if (all.size() < MOST_BUNDLES) {
        all.add(random.nextInt(3) == 0 ? random.nextInt(all.size() + 1) : all.size(), bundle());
        return new Worn(now.photo, all);
      }
      what = 2;
    }
    Bundle own = all.get(at);
    List<Veil> veils = new ArrayList<>(own.veils());
    int i = random.nextInt(veils.size());
    Veil veil = veils.get(i);
    switch (what) {
      case 2 -> {
        all.remove(random.nextBoolean() ? all.size() - 1 : at); // the topmost most often
        return new Worn(now.photo, all);
      }
      case 3 -> {
        all.add(random.nextInt(all.size()), all.remove(at));
        return new Worn(now.photo, all);
      }
      case 4 -> {
        return new Worn(random.nextInt(PHOTOS.length), all);
      }
      case 5 -> veils.set(i, veil.withLifted(!veil.lifted()));
      case 6 -> veils.add(random.nextInt(veils.size()), veils.remove(i));
      case 7 -> veils.set(i, veil.withOpacity(random.nextInt(3) / 2.0));
      case 8 -> {
        double opacity = random.nextInt(3) / 2.0;
        return now.with(at, new Bundle(veils, own.paint(), opacity, own.mask(), own.cover(), 1));
      }
      case 9 -> {
        Veil other = veil();
        Mask mask = random.nextBoolean() ? veil.mask() : other.mask();
        veils.set(
            i,
            new Veil(
                veil.id(),
                veil.id(),
                other.kind(),
                other.settings(),
                veil.blend(),
                1,
                false,
                mask,
                ""));
      }
      case 10 -> {
        Mask mask = random.nextBoolean() ? Mask.EVERYWHERE : Mask.BRUSH_ON;
        Paint cover = random.nextInt(4) == 0 ? Paint.NONE : own.cover();
        return now.with(at, new Bundle(veils, own.paint(), own.opacity(), mask, cover, 1));
      }
      case 11, 12 -> {
        Paint cover = repainted(own.cover());
        return now.with(at, new Bundle(veils, own.paint(), own.opacity(), own.mask(), cover, 1));
      }
      default -> {
        Map<String, Paint> paint = new HashMap<>(own.paint());
        paint.put(veil.id(), repainted(paint.getOrDefault(veil.id(), Paint.NONE)));
        return now.with(at, new Bundle(veils, paint, own.opacity(), own.mask(), own.cover(), 1));
      }
    }
    return now.with(at, own.withVeils(veils));
  }

  /** Overtaken after some rows, or failing where coverage is asked for. */
  private Manner troubled() {
    int[] left = {random.nextInt(60)};
    if (random.nextBoolean()) {
      return Manner.exact().cancelledBy(() -> left[0]-- < 0);
    }
    int[] looks = {random.nextInt(3)};
    return Manner.exact()
        .masksFrom(
            (mask, paint, plain, area) -> {
              if (looks[0]-- <= 0) {
                throw new OutOfMemoryError("as if");
              }
              return CoverageSource.FRESH.coverage(mask, paint, plain, area);
            });
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void whateverIsDoneTheViewShowsWhatTheRendererMakes(long seed) {
    random = new Random(seed);
    LiveView view = new LiveView(() -> 0); // nobody is let through for having waited
    List<Worn> before = new ArrayList<>();
    Worn now = new Worn(0, List.of());
    for (int step = 0; step < STEPS; step++) {
      Worn last = now;
      if (random.nextInt(8) == 0 && !before.isEmpty()) {
        now = before.remove(before.size() - 1);
      } else {
        before.add(now);
        now = next(now);
      }
      if (before.size() > 30) {
        before.remove(0);
      }
      Picture photo = PHOTOS[now.photo];
      Stack stack = new Stack(now.bundles);
      if (random.nextInt(6) == 0) {
        try {
          view.render(photo, stack, troubled());
        } catch (Cancelled | OutOfMemoryError e) {
          // and then another picture is wanted, or the same one again, or the one before
          if (random.nextInt(3) == 0) {
            now = last;
            photo = PHOTOS[now.photo];
            stack = new Stack(now.bundles);
          }
        }
      }
      if (random.nextInt(4) == 0) {
        view.render(photo, stack, Manner.exact().quick(true)); // nothing of it may be kept
      }
      Picture shown = view.render(photo, stack, Manner.exact()).picture();
      assertThat(Pictures.same(shown, Renderer.render(photo, stack)))
          .as("walk %d, step %d", seed, step)
          .isTrue();
    }
  }
}

package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.LimitsJson;
import org.nineveils.file.PictureReader;
import org.nineveils.filter.Evenly;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Pair;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

/**
 * Photos made with one plain fault each: among the first five of a kit is one that mends it nearly
 * half as well as the best of them, or better, and no reason is untrue. Whether that is so is not
 * asked of the code that gives reasons: the photo as it was before the fault was made is what a
 * mended one is nearer to (mean ΔE00).
 */
class SuitingFaultsTest {
  /** Whoever has them shown looks at so many. */
  private static final int FIRST = 5;

  /** Share of the way back from which something is mended. */
  private static final double MENDS = 0.25;

  /** Share of what the best one mends that is good enough. */
  private static final double GOOD = 0.45;

  private static final Path DEMO = Path.of("../demo");

  private record Offered(String name, Effect effect, Limits limits) {}

  private record Made(String name, Picture before, Picture photo) {}

  /** For how many photos the kit has an effect that mends. */
  private static final AtomicInteger MENDED = new AtomicInteger();

  private static List<Offered> kits;

  @AfterAll
  static void theKitHasWhatMendsMostOfThem() {
    assertThat(MENDED.get()).isGreaterThanOrEqualTo(8);
  }

  @BeforeAll
  static void readKits() throws IOException {
    kits = new ArrayList<>();
    Fields demo = Json.read(Files.readString(DEMO.resolve("demo.json")), "demo.json");
    for (Fields kit : demo.objects("kits", k -> k)) {
      if (!kit.text("name").equals("Larch Studio")) {
        continue; // made for people, as the photos are of
      }
      for (Fields section : kit.objects("sections", s -> s)) {
        Limits limits =
            section.has("limits") ? LimitsJson.parse(section.object("limits")) : Limits.START;
        for (Fields one : section.objects("effects", e -> e)) {
          kits.add(new Offered(one.text("name"), EffectJson.parse(one.object("effect")), limits));
        }
      }
    }
  }

  private static Picture photo(String name) {
    return photo(name, 240); // smaller than proofs are, for time
  }

  private static Picture photo(String name, int longSide) {
    Picture whole = PictureReader.read(DEMO.resolve("photos/" + name + ".jpg"));
    return Scaling.toLongSide(whole, longSide);
  }

  private interface Pixel {
    /** Changes r, g, b, each 0…1, encoded. */
    void change(float[] rgb);
  }

  private static Picture changed(Picture p, Pixel how) {
    float[][] out = {p.r().clone(), p.g().clone(), p.b().clone()};
    float[] rgb = new float[3];
    for (int i = 0; i < out[0].length; i++) {
      for (int c = 0; c < 3; c++) {
        rgb[c] = out[c][i];
      }
      how.change(rgb);
      for (int c = 0; c < 3; c++) {
        out[c][i] = Math.max(0, Math.min(1, rgb[c]));
      }
    }
    return new Picture(p.width(), p.height(), out[0], out[1], out[2]);
  }

  private static Pixel times(double r, double g, double b) {
    return rgb -> {
      rgb[0] *= (float) r;
      rgb[1] *= (float) g;
      rgb[2] *= (float) b;
    };
  }

  private static Pixel power(double by) {
    return rgb -> {
      for (int c = 0; c < 3; c++) {
        rgb[c] = (float) Math.pow(rgb[c], by);
      }
    };
  }

  private static Pixel noise(double codes) {
    Random random = new Random(5);
    return rgb -> {
      for (int c = 0; c < 3; c++) {
        rgb[c] += (float) (random.nextGaussian() * codes / 255);
      }
    };
  }

  /** Greens away from grey, others as they are. */
  private static void glare(float[] rgb) {
    if (rgb[1] > rgb[0] && rgb[1] > rgb[2]) {
      float grey = (rgb[0] + rgb[1] + rgb[2]) / 3;
      for (int c = 0; c < 3; c++) {
        rgb[c] = grey + 2.1f * (rgb[c] - grey);
      }
    }
  }

  private static List<Made> made() {
    Map<String, UnaryOperator<Picture>> faults = new LinkedHashMap<>();
    faults.put("too dark", p -> changed(p, power(2.4)));
    faults.put("too light", p -> changed(p, power(0.42)));
    faults.put("yellow", p -> changed(p, times(1, 0.97, 0.8)));
    faults.put("blue", p -> changed(p, times(0.82, 0.94, 1)));
    faults.put("green", p -> changed(p, times(0.88, 1, 0.88)));
    faults.put("flat", p -> changed(p, rgb -> flatten(rgb)));
    List<Made> out = new ArrayList<>();
    for (String name : List.of("portrait-light-skin-studio", "portrait-brown-skin-window")) {
      Picture before = photo(name);
      faults.forEach(
          (fault, how) -> out.add(new Made(fault + ", " + name, before, how.apply(before))));
    }
    // kept aside: no bound was chosen by these. A blue cast over this one's warm wall is not seen.
    Picture deep = photo("portrait-deep-skin-studio");
    out.add(new Made("too dark, deep skin", deep, faults.get("too dark").apply(deep)));
    out.add(new Made("yellow, deep skin", deep, faults.get("yellow").apply(deep)));
    out.add(new Made("flat, deep skin", deep, faults.get("flat").apply(deep)));
    Picture grass = changed(photo("portrait-backlit-green-grass"), power(1.3)); // it is very light
    out.add(new Made("neon grass", grass, changed(grass, SuitingFaultsTest::glare)));
    Picture skin = photo("newborn-brown-skin-even", Pair.LONG_SIDE);
    out.add(new Made("noisy", skin, changed(skin, noise(9))));
    return out;
  }

  private static void flatten(float[] rgb) {
    for (int c = 0; c < 3; c++) {
      rgb[c] = 0.38f + 0.3f * rgb[c];
    }
  }

  @Test
  void aPhotoThatNeedsNothingIsNotMended() {
    for (String name :
        List.of("portrait-light-skin-studio", "portrait-brown-skin-window", "pet-ginger-cat")) {
      Picture plain = photo(name);
      Suiting.Photo ready = Suiting.Photo.of(plain, plain);
      assertThat(kits.parallelStream().map(offered -> suited(ready, offered, plain)))
          .as(name + ready.looks())
          .noneMatch(s -> s.suiting().sort() == Suiting.Sort.HELPS);
    }
  }

  /** What is told of an effect, and how far its picture is from the photo before the fault. */
  private record Suited(String name, Suiting suiting, double apart) {}

  private static Suited suited(Suiting.Photo ready, Offered offered, Picture before) {
    Effect dressed =
        OnRegions.dressed(
            offered.effect(), Map.of(), ready.plain().regions(), ready.plain().picture());
    Stack stack = Stack.of(Bundle.of(dressed, Map.of(), offered.effect().start()));
    Finished made = Trial.on(ready.plain(), stack, Manner.exact().quick(true));
    return new Suited(
        offered.name(),
        Suiting.of(ready, offered.effect(), made, offered.limits()),
        apart(before, made.picture()));
  }

  private static double apart(Picture a, Picture b) {
    double sum = 0;
    int[] places = Evenly.some(a.area().pixels(), 61);
    for (int i : places) {
      sum +=
          Ciede2000.between(
              Lab.ofSrgb(a.r()[i], a.g()[i], a.b()[i]), Lab.ofSrgb(b.r()[i], b.g()[i], b.b()[i]));
    }
    return sum / places.length;
  }

  @TestFactory
  Stream<DynamicTest> oneOfTheFirstFiveMendsAndNoReasonIsUntrue() {
    return made().stream().map(m -> DynamicTest.dynamicTest(m.name(), () -> check(m)));
  }

  private static void check(Made made) {
    Suiting.Photo ready = Suiting.Photo.of(made.photo(), made.photo());
    double wrong = apart(made.before(), made.photo());
    List<Suited> ranked =
        kits.parallelStream()
            .map(offered -> suited(ready, offered, made.before()))
            .sorted((a, b) -> Suiting.BEST_FIRST.compare(a.suiting(), b.suiting()))
            .toList();
    String told = ranked.stream().map(Suited::toString).collect(Collectors.joining("\n"));
    double best =
        ranked.stream()
            .filter(s -> s.suiting().sort() != Suiting.Sort.OVER)
            .mapToDouble(s -> wrong - s.apart())
            .max()
            .orElseThrow();
    boolean canBeMended = best >= MENDS * wrong;
    if (canBeMended) {
      MENDED.incrementAndGet();
    }
    assertThat(canBeMended ? ranked.stream().limit(FIRST) : ranked.stream())
        .as("%s\nbest %.1f nearer than %.1f\n%s", ready.looks(), best, wrong, told)
        .anyMatch(s -> wrong - s.apart() >= GOOD * best);
    assertThat(ranked.stream().filter(s -> s.suiting().sort() == Suiting.Sort.HELPS))
        .as(told)
        .allMatch(s -> s.apart() < wrong);
  }
}

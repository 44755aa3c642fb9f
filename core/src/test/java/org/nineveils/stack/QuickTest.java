package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.Looks;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** The quick manner for previews, held to the exact one. */
class QuickTest {
  private static List<Picture> photos() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("../demo/photos"))) {
      return files
          .filter(f -> f.toString().endsWith(".jpg"))
          .sorted()
          .map(f -> Scaling.toLongSide(PictureReader.read(f), 240))
          .toList();
    }
  }

  /** Every effect of the demo, and all veils of each kit one over the other. */
  private static List<List<Veil>> stacks() throws IOException {
    Fields demo = Json.read(Files.readString(Path.of("../demo/demo.json")), "The demo");
    List<List<Veil>> stacks = new ArrayList<>();
    for (Fields kit : demo.objects("kits", f -> f)) {
      for (Fields section : kit.objects("sections", f -> f)) {
        List<Veil> together = new ArrayList<>();
        for (Effect effect : section.objects("effects", QuickTest::effect)) {
          stacks.add(effect.veils());
          effect.veils().stream().map(v -> v.withLifted(false)).forEach(together::add);
        }
        stacks.add(together);
      }
    }
    return stacks;
  }

  private static Effect effect(Fields f) {
    return EffectJson.parse(f.object("effect"));
  }

  /** Each effect on every fourth photo, beginning with another one each time. */
  @Test
  void everyDemoEffectLooksAsByTheExactWay() throws IOException {
    List<List<Veil>> stacks = stacks();
    List<Picture> photos = photos();
    assertThat(stacks).hasSizeGreaterThan(100);
    for (int i = 0; i < stacks.size(); i++) {
      Stack stack = Stack.of(Bundle.of(stacks.get(i)));
      for (int k = i % 4; k < photos.size(); k += 4) {
        Picture photo = photos.get(k);
        Picture quick = Renderer.render(photo, photo.area(), stack, Manner.exact().quick(true));
        Looks.Difference apart = Looks.apart(Renderer.render(photo, stack), quick);
        assertThat(apart.mean()).isLessThanOrEqualTo(0.3);
        assertThat(apart.high()).isLessThanOrEqualTo(1.0);
      }
    }
  }

  /** A preview is a quarter of the frame: what she judges is what the photographer gets. */
  @Test
  void aQuickPreviewAtQuarterSizeLooksAsTheFullFrameScaledDown() throws IOException {
    List<Picture> full =
        List.of(
            Scaling.toLongSide(Pictures.photo("newborn-red-blotchy-skin"), 1200),
            Scaling.toLongSide(Pictures.photo("pet-black-dog"), 1200));
    List<Picture> small = full.stream().map(f -> Scaling.toLongSide(f, 300)).toList();
    List<List<Veil>> stacks = stacks();
    for (int i = 0; i < stacks.size(); i++) {
      List<Veil> veils = stacks.get(i);
      Picture photo = small.get(i % 2);
      Stack stack = Stack.of(Bundle.of(veils));
      Picture scaled = Scaling.toLongSide(Renderer.render(full.get(i % 2), stack), 300);
      Picture preview = Renderer.render(photo, photo.area(), stack, Manner.exact().quick(true));
      assertThat(Looks.apart(scaled, preview).mean())
          .as("%s", veils.stream().map(Veil::name).toList())
          .isLessThanOrEqualTo(1);
    }
  }

  private static Veil veil(String kind, Map<String, ?> settings, BlendMode blend) {
    Veil v = Pictures.veil(kind, settings);
    return new Veil(
        "x" + settings.hashCode() + blend,
        kind,
        v.kind(),
        v.settings(),
        blend,
        1,
        false,
        Mask.EVERYWHERE,
        "");
  }

  /**
   * A brushed veil below makes everything dark, where a lattice strays; on the light photo itself
   * it would not.
   */
  @Test
  void theQuickWayIsTriedOnTheColoursThatItMeets() {
    Picture light = Pictures.random(120, 80, 4);
    for (float[] plane : new float[][] {light.r(), light.g(), light.b()}) {
      for (int i = 0; i < plane.length; i++) {
        plane[i] = 0.5f + plane[i] / 2;
      }
    }
    Veil dark = veil("curve", Map.of("outWhite", 4), BlendMode.NORMAL);
    Veil brushed =
        new Veil("b", "b", dark.kind(), dark.settings(), dark.blend(), 1, false, Mask.BRUSH_ON, "");
    List<Veil> veils =
        List.of(
            brushed,
            veil("colour", Map.of("saturation", 10), BlendMode.NORMAL),
            veil("curve", Map.of("gamma", 5), BlendMode.NORMAL),
            veil("tint", Map.of("colourise", 20), BlendMode.NORMAL),
            veil("ink", Map.of("poppyCyan", 20.0), BlendMode.NORMAL),
            veil("colour", Map.of("saturation", -10), BlendMode.NORMAL));
    Paint all = Paint.filled(true);
    Stack stack = Stack.of(new Bundle(veils, Map.of("b", all), 1));
    Picture quick = Renderer.render(light, light.area(), stack, Manner.exact().quick(true));
    assertThat(Looks.apart(Renderer.render(light, stack), quick).high()).isLessThanOrEqualTo(1.0);
    List<Veil> plain = veils.subList(1, 6);
    Manner manner = Manner.exact().quick(true);
    Picture onLight = Renderer.render(light, light.area(), Stack.of(Bundle.of(plain)), manner);
    assertThat(Pictures.same(onLight, Renderer.render(light, Stack.of(Bundle.of(plain)))))
        .as("and where it is near it is taken")
        .isFalse();
  }

  /** Blacks lifted steeply, then mixed: a lattice alone would be 4 apart at the 99th percentile. */
  @Test
  void steepTonesAtTheBeginningAndAtTheEndStayExact() throws IOException {
    List<Veil> veils =
        List.of(
            veil("curve", Map.of("gamma", 3, "outBlack", 20), BlendMode.NORMAL),
            veil("light", Map.of("deep", 100), BlendMode.SCREEN),
            veil("colour", Map.of("saturation", -30), BlendMode.NORMAL),
            veil("ink", Map.of("poppyCyan", 20.0), BlendMode.NORMAL),
            veil("tint", Map.of("colourise", 20), BlendMode.NORMAL),
            veil("curve", Map.of("gamma", 0.5), BlendMode.NORMAL));
    Stack stack = Stack.of(Bundle.of(veils));
    int quickly = 0;
    for (Picture photo : photos()) {
      Picture quick = Renderer.render(photo, photo.area(), stack, Manner.exact().quick(true));
      Picture exact = Renderer.render(photo, stack);
      assertThat(Looks.apart(exact, quick).high()).isLessThanOrEqualTo(1.0);
      quickly += Pictures.same(exact, quick) ? 0 : 1;
    }
    assertThat(quickly).isGreaterThan(photos().size() / 2);
  }

  /** A function that no lattice holds is noticed on the picture itself and run exactly. */
  @Test
  void whereATableWouldStrayTheVeilsAreRunOneByOne() {
    List<Veil> veils = new ArrayList<>();
    veils.add(veil("tint", Map.of("monochrome", 100), BlendMode.NORMAL));
    for (int i = 0; i < 5; i++) {
      Map<String, Object> folded = Map.of("all", zigzag(), "gamma", 1 + i / 100.0);
      veils.add(veil("curve", folded, BlendMode.HUE));
      veils.add(veil("curve", folded, BlendMode.LUMINOSITY));
    }
    Picture picture = Pictures.random(200, 100, 6);
    Stack stack = Stack.of(Bundle.of(veils));
    Picture quick = Renderer.render(picture, picture.area(), stack, Manner.exact().quick(true));
    assertThat(Pictures.same(quick, Renderer.render(picture, stack))).isTrue();
  }

  private static List<List<Double>> zigzag() {
    List<List<Double>> points = new ArrayList<>();
    for (int i = 0; i < 16; i++) {
      points.add(List.of(i / 15.0, i % 2 == 0 ? 0.0 : 1.0));
    }
    return points;
  }
}

package org.nineveils.veil;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKind;
import org.nineveils.mask.RuleKinds;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.setting.ChoiceSetting;
import org.nineveils.setting.CurveSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;

/** What holds for any veil, any settings and any picture; values that break it are made smaller. */
class PropertiesTest {
  private static final int TRIES = 100;

  /** Fixed, so that a run on one machine is the run on another. */
  private static final String SEED = "3117";

  private static final int WIDTH = 90;
  private static final int HEIGHT = 41;

  @Provide
  Arbitrary<Veil> veils() {
    return Arbitraries.of(Kinds.all())
        .flatMap(
            kind ->
                Combinators.combine(
                        settings(kind),
                        Arbitraries.of(BlendMode.values()),
                        Arbitraries.doubles().between(0, 1))
                    .as((raw, blend, opacity) -> veil(kind, raw, blend, opacity)));
  }

  private static Veil veil(
      VeilKind kind, Map<String, Object> raw, BlendMode blend, double opacity) {
    SettingValues values = SettingValues.parse(kind.settings(), raw);
    return new Veil("a", "a", kind, values, blend, opacity, false, Mask.EVERYWHERE, "");
  }

  private static Arbitrary<Map<String, Object>> settings(VeilKind kind) {
    List<Arbitrary<Object>> each = new ArrayList<>();
    for (Setting<?> setting : kind.settings()) {
      each.add(value(setting));
    }
    return Combinators.combine(each)
        .as(
            values -> {
              Map<String, Object> raw = new HashMap<>();
              for (int i = 0; i < values.size(); i++) {
                raw.put(kind.settings().get(i).key(), values.get(i));
              }
              return raw;
            });
  }

  private static Arbitrary<Object> value(Setting<?> setting) {
    if (setting instanceof NumberSetting n) {
      return Arbitraries.doubles().between(n.min(), n.max()).shrinkTowards(n.start()).asGeneric();
    }
    if (setting instanceof ChoiceSetting c) {
      return Arbitraries.of(c.ids()).asGeneric();
    }
    if (setting instanceof PictureSetting) {
      return Arbitraries.of("", Pictures.TEXTURE).asGeneric();
    }
    return setting instanceof CurveSetting ? curves().asGeneric() : Arbitraries.just(List.of());
  }

  /** Points that rise from left to right. */
  private static Arbitrary<List<List<Double>>> curves() {
    return Arbitraries.doubles()
        .between(0, 1)
        .list()
        .ofMinSize(2)
        .ofMaxSize(6)
        .map(
            outs -> {
              List<Double> rising = outs.stream().sorted().toList();
              List<List<Double>> points = new ArrayList<>();
              for (int i = 0; i < rising.size(); i++) {
                points.add(List.of(i / (rising.size() - 1.0), rising.get(i)));
              }
              return points;
            });
  }

  private static Picture rendered(Picture picture, Area area, Veil veil) {
    return Renderer.render(picture, area, Stack.of(Bundle.of(List.of(veil))), Pictures.MANNER);
  }

  @Property(tries = TRIES, seed = SEED)
  void opacityZeroChangesNothing(@ForAll("veils") Veil veil, @ForAll long seed) {
    Picture picture = Pictures.random(WIDTH, HEIGHT, seed);
    assertThat(Pictures.same(picture, Pictures.through(picture, veil.withOpacity(0)))).isTrue();
  }

  @Property(tries = TRIES, seed = SEED)
  void everyValueIsFiniteAndBetweenBlackAndWhite(@ForAll("veils") Veil veil, @ForAll long seed) {
    Picture picture = Pictures.random(WIDTH, HEIGHT, seed);
    java.util.Arrays.fill(picture.r(), 0, 20, 0);
    java.util.Arrays.fill(picture.g(), 0, 40, 1);
    Picture out = Pictures.through(picture, veil);
    for (float[] plane : new float[][] {out.r(), out.g(), out.b()}) {
      for (float v : plane) {
        assertThat(v >= 0 && v <= 1).isTrue();
      }
    }
  }

  @Property(tries = TRIES, seed = SEED)
  void aTileIsThatPartOfTheWholeBitForBit(
      @ForAll("veils") Veil veil,
      @ForAll @IntRange(max = WIDTH - 1) int x,
      @ForAll @IntRange(max = HEIGHT - 1) int y,
      @ForAll @IntRange(min = 1, max = 50) int size) {
    Picture picture = Pictures.random(WIDTH, HEIGHT, 5);
    Picture whole = Pictures.through(picture, veil);
    Area tile = new Area(x, y, Math.min(size, WIDTH - x), Math.min(size, HEIGHT - y));
    Picture part = rendered(picture, tile, veil);
    for (int i = 0; i < tile.pixels(); i++) {
      int at = (y + i / tile.width()) * WIDTH + x + i % tile.width();
      assertThat(part.r()[i]).isEqualTo(whole.r()[at]);
      assertThat(part.g()[i]).isEqualTo(whole.g()[at]);
      assertThat(part.b()[i]).isEqualTo(whole.b()[at]);
    }
  }

  @Property(tries = TRIES, seed = SEED)
  void aMaskOfOnesIsNoMask(@ForAll("veils") Veil veil) {
    Picture picture = Pictures.random(WIDTH, HEIGHT, 9);
    RuleKind brightness = RuleKinds.ofId("brightness");
    Rule all =
        new Rule(brightness, SettingValues.start(brightness.settings()), Rule.Join.AND, false);
    Veil masked = veil.withMask(new Mask(Cover.BY_RULE, List.of(all)));
    Picture out = rendered(picture, picture.area(), masked);
    assertThat(Pictures.farthest(out, Pictures.through(picture, veil))).isLessThan(1e-6);
  }

  @Property(tries = TRIES, seed = SEED)
  void startValuesChangeNothingOnAnyPicture(@ForAll long seed) {
    Picture picture = Pictures.random(WIDTH, HEIGHT, seed);
    for (VeilKind kind : Kinds.all()) {
      Veil veil = veil(kind, Map.of(), BlendMode.NORMAL, 1);
      assertThat(Pictures.same(picture, Pictures.through(picture, veil))).isTrue();
    }
  }

  @Provide
  Arbitrary<Veil> toneVeils() {
    List<VeilKind> kinds = List.of(Kinds.ofId("light"), Kinds.ofId("curve"));
    return Arbitraries.of(kinds)
        .flatMap(kind -> settings(kind).map(raw -> veil(kind, upright(raw), BlendMode.NORMAL, 1)));
  }

  /** Without white balance; levels that do not turn the tones round. */
  private static Map<String, Object> upright(Map<String, Object> raw) {
    Map<String, Object> out = new HashMap<>(raw);
    out.keySet().removeIf(key -> key.equals("temperature") || key.equals("greenToPink"));
    out.keySet().removeIf(key -> key.toLowerCase(java.util.Locale.ROOT).contains("out"));
    return out;
  }

  @Property(tries = TRIES, seed = SEED)
  void theOrderOfTonesIsKept(@ForAll("toneVeils") Veil veil) {
    Picture out = Pictures.through(Pictures.ramp(500), veil);
    for (int i = 1; i < 500; i++) {
      assertThat(out.r()[i]).isGreaterThanOrEqualTo(out.r()[i - 1] - 1e-6f);
      assertThat(out.g()[i]).isGreaterThanOrEqualTo(out.g()[i - 1] - 1e-6f);
      assertThat(out.b()[i]).isGreaterThanOrEqualTo(out.b()[i - 1] - 1e-6f);
    }
  }
}

package org.nineveils.veil;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.nineveils.catalogue.Kinds;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.setting.ChoiceSetting;
import org.nineveils.setting.InvalidSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Looks;
import org.nineveils.testing.Pictures;
import org.nineveils.testing.RandomSettings;

/** What every kind of veil promises. A new kind is held to it by being in the catalogue. */
class VeilKindContractTest {
  static Stream<VeilKind> kinds() {
    return Kinds.all().stream();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void startValuesChangeNothingBitForBit(VeilKind kind) {
    Picture picture = Pictures.random(97, 31, 1);
    Picture out = Pictures.through(picture, Pictures.veil(kind.id(), Map.of()));
    assertThat(Pictures.same(picture, out)).isTrue();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void anySettingsGiveFiniteValuesBetweenBlackAndWhite(VeilKind kind) {
    Random random = new Random(11);
    Picture picture = Pictures.random(64, 9, 2);
    picture.r()[0] = 0;
    picture.g()[0] = 0;
    picture.b()[0] = 0;
    picture.r()[1] = 1;
    picture.g()[1] = 1;
    picture.b()[1] = 1;
    for (int round = 0; round < 60; round++) {
      Map<String, Object> settings = RandomSettings.of(kind.settings(), random);
      Picture out = Pictures.through(picture, Pictures.veil(kind.id(), settings));
      for (float[] plane : new float[][] {out.r(), out.g(), out.b()}) {
        for (float v : plane) {
          assertThat(v).as("settings %s", settings).isBetween(0f, 1f);
        }
      }
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void anAreaIsEqualToTheSamePartOfTheWholeBitForBit(VeilKind kind) {
    Random random = new Random(5);
    Picture picture = Pictures.random(211, 53, 3);
    for (int round = 0; round < 10; round++) {
      Veil veil = Pictures.veil(kind.id(), RandomSettings.of(kind.settings(), random));
      Stack stack = Stack.of(Bundle.of(List.of(veil)));
      Picture whole = Renderer.render(picture, picture.area(), stack, Pictures.MANNER);
      Area area = new Area(17 + round, 5, 90, 31);
      Picture part = Renderer.render(picture, area, stack, Pictures.MANNER);
      for (int y = 0; y < area.height(); y++) {
        for (int x = 0; x < area.width(); x++) {
          int i = (y + area.y()) * picture.width() + x + area.x();
          assertThat(part.r()[y * area.width() + x]).isEqualTo(whole.r()[i]);
          assertThat(part.g()[y * area.width() + x]).isEqualTo(whole.g()[i]);
          assertThat(part.b()[y * area.width() + x]).isEqualTo(whole.b()[i]);
        }
      }
    }
  }

  /** What a kind says of its dependence on place and on channels decides how it is rendered. */
  @ParameterizedTest
  @MethodSource("kinds")
  void whatItSaysItDependsOnIsAllThatItDependsOn(VeilKind kind) {
    Random random = new Random(21);
    Picture picture = Pictures.random(60, 20, 6);
    Picture shuffled = Pictures.random(60, 20, 6);
    int n = picture.r().length;
    for (int i = 0; i < n; i++) {
      int from = i * 7919 % n; // every pixel at another place
      shuffled.r()[i] = picture.r()[from];
      shuffled.g()[i] = picture.g()[from];
      shuffled.b()[i] = picture.b()[from];
    }
    for (int round = 0; round < 30; round++) {
      Map<String, Object> raw =
          round == 0 ? kind.sample() : RandomSettings.of(kind.settings(), random);
      Veil veil = Pictures.veil(kind.id(), raw);
      Picture there = Pictures.through(picture, veil);
      if (kind.isColourOnly(veil.settings())) {
        Picture moved = Pictures.through(shuffled, veil);
        for (int i = 0; i < n; i++) {
          int from = i * 7919 % n;
          assertThat(moved.r()[i]).as("%s", raw).isEqualTo(there.r()[from]);
          assertThat(moved.g()[i]).as("%s", raw).isEqualTo(there.g()[from]);
          assertThat(moved.b()[i]).as("%s", raw).isEqualTo(there.b()[from]);
        }
      }
      if (kind.isColourOnly(veil.settings()) && kind.isPerChannel(veil.settings())) {
        Picture other = new Picture(60, 20, picture.r(), shuffled.g(), shuffled.b());
        assertThat(Pictures.through(other, veil).r()).as("%s", raw).isEqualTo(there.r());
      }
    }
  }

  /** The quick manner of a run of this kind, held to the exact one. */
  @ParameterizedTest
  @MethodSource("kinds")
  void theQuickMannerLooksAsTheExactOne(VeilKind kind) {
    Picture photo = Scaling.toLongSide(Pictures.photo("portrait-medium-skin-warm-studio"), 120);
    Random random = new Random(31);
    for (int round = 0; round < 4; round++) {
      List<Veil> veils = new ArrayList<>();
      for (int i = 0; i < 6; i++) {
        Veil v = Pictures.veil(kind.id(), RandomSettings.of(kind.settings(), random));
        veils.add(
            new Veil("q" + i, "q", v.kind(), v.settings(), v.blend(), 0.4, false, v.mask(), ""));
      }
      Stack stack = Stack.of(Bundle.of(veils));
      Picture exact = Renderer.render(photo, photo.area(), stack, Pictures.MANNER);
      Picture quick = Renderer.render(photo, photo.area(), stack, Pictures.MANNER.quick(true));
      assertThat(Looks.apart(exact, quick).high()).isLessThanOrEqualTo(1.0);
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void valuesComeBackFromJson(VeilKind kind) {
    Random random = new Random(8);
    for (int round = 0; round < 20; round++) {
      SettingValues values =
          SettingValues.parse(kind.settings(), RandomSettings.of(kind.settings(), random));
      assertThat(SettingValues.parse(kind.settings(), values.format())).isEqualTo(values);
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void everyBoundIsTakenAndJustBeyondItIsRefusedByName(VeilKind kind) {
    for (Setting<?> setting : kind.settings()) {
      if (setting instanceof NumberSetting n) {
        assertThat(n.parse(n.min())).isEqualTo(n.min());
        assertThat(n.parse(n.max())).isEqualTo(n.max());
        for (double beyond : new double[] {n.min() - 0.001, n.max() + 0.001, Double.NaN}) {
          assertThatThrownBy(() -> n.parse(beyond))
              .isInstanceOf(InvalidSetting.class)
              .hasMessageContaining(n.label());
        }
        assertThatThrownBy(() -> n.parse("much"))
            .hasMessageContaining(n.label())
            .hasMessageContaining("“much”");
      }
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void startingPointsAreValuesThatItsOwnSettingsTake(VeilKind kind) {
    for (StartingPoint point : kind.startingPoints()) {
      SettingValues.parse(kind.settings(), point.values());
      assertThat(kind.settings().stream().map(Setting::group)).contains(point.group());
    }
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void keysAreUniqueAndUnknownOnesRefused(VeilKind kind) {
    assertThat(kind.settings().stream().map(Setting::key)).doesNotHaveDuplicates();
    assertThatThrownBy(() -> SettingValues.parse(kind.settings(), Map.of("sparkle", 1)))
        .hasMessageContaining("“sparkle”");
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void aNewSettingMovesThePicture(VeilKind kind) {
    Picture picture =
        Pictures.random(600, 100, 4); // long enough for the smallest share to be pixels
    Map<String, Object> on = new LinkedHashMap<>(switchedOn(kind));
    Picture base = Pictures.through(picture, Pictures.veil(kind.id(), on));
    for (Setting<?> setting : kind.settings()) {
      Map<String, Object> moved = new LinkedHashMap<>(on);
      moved.put(setting.key(), other(setting, on.get(setting.key())));
      Picture out = Pictures.through(picture, Pictures.veil(kind.id(), moved));
      assertThat(Pictures.farthest(base, out)).as(setting.key()).isGreaterThan(1e-4);
    }
  }

  /** Amounts that other settings need in order to act. */
  private static Map<String, Object> switchedOn(VeilKind kind) {
    return switch (kind.id()) {
      case "tint" ->
          Map.of("monochrome", 60.0, "colourise", 60.0, "shadowTint", 40.0, "lightTint", 40.0);
      case "edge" ->
          Map.of("amount", -1.0, "frame", 5.0, "frameSaturation", 40.0, "frameLightness", 60.0);
      case "colour" -> Map.of("saturation", 30.0, "table", Pictures.TABLE);
      case "overlay" ->
          Map.of(
              "flat",
              20.0,
              "gradient",
              60.0,
              "shaft",
              60.0,
              "grain",
              60.0,
              "gradientRound",
              40.0,
              "gradientEnd",
              60.0,
              "flare",
              60.0,
              "picture",
              Pictures.TEXTURE);
      case "ink" -> Map.of("poppyCyan", 40.0, "darksBlack", -40.0);
      case "light" -> Map.of("exposure", 1.0);
      case "soft" ->
          Map.of("smooth", 60.0, "blur", 1.0, "glow", 50.0, "haze", 20.0, "noiseLight", 50.0);
      case "crisp" -> Map.of("sharp", 200.0, "sharpRadius", 2.0, "small", 20.0, "clear", 20.0);
      default -> kind.sample();
    };
  }

  private static Object other(Setting<?> setting, Object now) {
    if (setting instanceof NumberSetting n) {
      double v = now instanceof Double d ? d : n.start();
      return v + (n.max() - v > v - n.min() ? (n.max() - v) * 0.3 : (n.min() - v) * 0.3);
    }
    if (setting instanceof ChoiceSetting c) {
      return c.ids().get(1);
    }
    return setting instanceof PictureSetting ? "" : List.of(List.of(0.0, 0.2), List.of(1.0, 0.8));
  }
}

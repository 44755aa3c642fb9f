package org.nineveils.stack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Mask;
import org.nineveils.mask.RegionRule;
import org.nineveils.picture.Area;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/** A close-up by itself shows what the same place of the whole photo shows. */
class CloseUpsTest {
  private static final Picture PHOTO =
      PictureReader.read(java.nio.file.Path.of("../demo/photos/portrait-brown-skin-window.jpg"));
  private static final Area PLACE = new Area(500, 610, 192, 160);
  private static final int MARGIN = 28;

  private static Veil veil(String kind, String key, double value) {
    VeilKind k = Kinds.ofId(kind);
    SettingValues values = SettingValues.parse(k.settings(), Map.of(key, value));
    return new Veil("a", k.label(), k, values, BlendMode.NORMAL, 1, false, Mask.EVERYWHERE, "");
  }

  private static double apart(Stack stack, Stack small) {
    Picture whole = Renderer.render(PHOTO, PLACE, stack, Manner.exact());
    CloseUp cut = CloseUp.of(PHOTO, PLACE);
    Picture own =
        CloseUps.render(List.of(cut), Scaling.toLongSide(PHOTO, 400), small, Manner.exact()).get(0);
    double most = 0;
    for (int y = MARGIN; y < PLACE.height() - MARGIN; y++) {
      for (int x = MARGIN; x < PLACE.width() - MARGIN; x++) {
        int i = y * PLACE.width() + x;
        most = Math.max(most, Math.abs(whole.g()[i] - own.g()[i]));
      }
    }
    assertThat(Part.whole(PHOTO).cut(PLACE).picture().g()).isNotEqualTo(whole.g());
    return 255 * most;
  }

  @ParameterizedTest
  @CsvSource({
    "light, exposure, 0.7, 0.01",
    "crisp, sharp, 200, 0.01",
    "edge, amount, -2, 0.01",
    "overlay, grain, 40, 0.01",
    "soft, blur, 2, 0.3",
    "soft, noiseLight, 70, 0.3",
    "crisp, medium, 40, 3",
    "crisp, clear, 40, 4"
  })
  void aCloseUpByItselfIsThatPlaceOfTheWhole(String kind, String key, double value, double codes) {
    Stack stack = Stack.of(Bundle.of(List.of(veil(kind, key, value))));
    assertThat(apart(stack, stack)).isLessThan(codes);
  }

  /** What looks at the whole is told by a small picture of another size than the region was. */
  @Test
  void aRegionCoversCloseUpsAndOverviews() {
    Picture small = Scaling.toLongSide(PHOTO, 400);
    float[] left = new float[small.area().pixels()];
    for (int i = 0; i < left.length; i++) {
      left[i] = i % small.width() < small.width() / 2 ? 1 : 0;
    }
    Mask region =
        new Mask(
            org.nineveils.mask.Cover.BY_RULE, List.of(RegionRule.of(left, small.width())), 0, 0);
    Veil masked = veil("light", "exposure", 1).withMask(region);
    Veil clear = veil("crisp", "clear", 40);
    Stack stack = Stack.of(Bundle.of(List.of(masked, clear)));
    Area middle = new Area(PHOTO.width() / 2 - 80, 600, 160, 120);
    Picture made =
        CloseUps.render(
                List.of(CloseUp.of(PHOTO, middle)),
                small,
                Stack.of(Bundle.of(List.of(masked))),
                Manner.exact())
            .get(0);
    Picture plain = CloseUp.of(PHOTO, middle).pixels();
    int row = 60 * 160;
    assertThat(made.g()[row + 10]).isGreaterThan(plain.g()[row + 10]);
    assertThat(made.g()[row + 150]).isEqualTo(plain.g()[row + 150]);
    assertThat(Renderer.render(small, stack).area()).isEqualTo(small.area());
  }
}

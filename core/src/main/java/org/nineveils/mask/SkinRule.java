package org.nineveils.mask;

import java.util.List;
import org.nineveils.picture.Picture;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * Skin: a guess by colour ({@link SkinColours}), and by the light, form and place that all of the
 * photo shows ({@link FoundSkin}). Hue, range and chroma are those of skin in light without a cast;
 * see {@link #caution} for what is taken too.
 */
final class SkinRule implements RuleKind {
  static final NumberSetting HUE = new NumberSetting("hue", "Hue", "", "°", 0, 100, 1, 49.0);
  static final NumberSetting RANGE = new NumberSetting("range", "Range", "", "°", 5, 60, 1, 13.0);
  static final NumberSetting CHROMA =
      new NumberSetting("chroma", "Chroma from", "", "", 0, 30, 0.5, 5.0);

  @Override
  public String id() {
    return "skin";
  }

  @Override
  public String label() {
    return "Skin";
  }

  @Override
  public String caution() {
    return "A guess by colour, light and form. Also takes lips, and wood or cloth like skin: hold those"
        + " off by colour or shape.";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(HUE, RANGE, CHROMA, AMOUNT);
  }

  /** Without a photo: by colours alone, as they are. */
  @Override
  public Weigher prepare(SettingValues v, int width, int height) {
    SkinColours colours = colours(v);
    return (plain, first, n, x, y, out, at) -> {
      LabRow row = new LabRow(plain, first, n);
      colours.weigh(row.l, row.a, row.b, 0, n, out, at);
    };
  }

  @Override
  public Weigher prepare(SettingValues v, Picture photo) {
    float[] found = FoundSkin.of(photo, colours(v));
    return (plain, first, n, x, y, out, at) -> System.arraycopy(found, first, out, at, n);
  }

  private static SkinColours colours(SettingValues v) {
    return new SkinColours(
        (float) v.number(HUE), (float) v.number(RANGE), (float) v.number(CHROMA));
  }
}

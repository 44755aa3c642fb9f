package org.nineveils.mask;

import java.util.List;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * By colour: hues of the plain photo around one hue, from a lowest chroma on. Hue and chroma (max −
 * min) are those of HSL (CSS Color 4, section 7) on encoded values, where greys have no say.
 */
final class ColourRule implements RuleKind {
  static final NumberSetting HUE = new NumberSetting("hue", "Hue", "", "°", 0, 360, 1, 25.0);
  static final NumberSetting RANGE = new NumberSetting("range", "Range", "", "°", 1, 180, 1, 25.0);
  static final NumberSetting FEATHER =
      new NumberSetting("feather", "Feather", "", "°", 0, 90, 1, 20.0);
  static final NumberSetting CHROMA =
      new NumberSetting("chroma", "Chroma from", "", "%", 0, 100, 1, 8.0);

  /** Width over which the chroma floor comes in. */
  private static final float FLOOR = 0.06f;

  @Override
  public String id() {
    return "colour";
  }

  @Override
  public String label() {
    return "By colour";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(HUE, RANGE, FEATHER, CHROMA, AMOUNT);
  }

  @Override
  public Weigher prepare(SettingValues v, int width, int height) {
    float hue = (float) v.number(HUE);
    float range = (float) v.number(RANGE);
    float feather = Math.max(0.01f, (float) v.number(FEATHER));
    float floor = (float) v.share(CHROMA);
    return (plain, first, n, x, y, out, at) -> {
      for (int i = 0; i < n; i++) {
        float r = plain[0][first + i];
        float g = plain[1][first + i];
        float b = plain[2][first + i];
        float chroma = Math.max(r, Math.max(g, b)) - Math.min(r, Math.min(g, b));
        float far = Math.abs(hueOf(r, g, b, chroma) - hue);
        float near = RuleKind.smooth((range - Math.min(far, 360 - far)) / feather + 1);
        out[at + i] = near * RuleKind.smooth((chroma - floor) / FLOOR);
      }
    };
  }

  /** Hue in degrees, 0…360; 0 for greys. */
  static float hueOf(float r, float g, float b, float chroma) {
    if (chroma <= 0) {
      return 0;
    }
    float sixth;
    if (r >= g && r >= b) {
      sixth = (g - b) / chroma + (g < b ? 6 : 0);
    } else if (g >= b) {
      sixth = (b - r) / chroma + 2;
    } else {
      sixth = (r - g) / chroma + 4;
    }
    return sixth * 60;
  }
}

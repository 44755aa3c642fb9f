package org.nineveils.mask;

import java.util.List;
import org.nineveils.colour.Luma;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * By brightness: tones of the plain photo within a range, with a feather on both sides. Measured as
 * luma of ITU-R BT.709 on encoded values, in per cent of white. A feather lies outside the range; a
 * range that reaches black or white has none there.
 */
final class BrightnessRule implements RuleKind {
  static final NumberSetting FROM = tone("from", "From", 0);
  static final NumberSetting TO = tone("to", "To", 100);
  static final NumberSetting FEATHER_BELOW = tone("featherBelow", "Feather below", 15);
  static final NumberSetting FEATHER_ABOVE = tone("featherAbove", "Feather above", 15);

  private static NumberSetting tone(String key, String label, double start) {
    return new NumberSetting(key, label, "", "%", 0, 100, 1, start);
  }

  @Override
  public String id() {
    return "brightness";
  }

  @Override
  public String label() {
    return "By brightness";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(FROM, TO, FEATHER_BELOW, FEATHER_ABOVE, AMOUNT);
  }

  @Override
  public Weigher prepare(SettingValues v, int width, int height) {
    float from = (float) v.share(FROM);
    float to = (float) v.share(TO);
    float below = Math.max(1e-4f, (float) v.share(FEATHER_BELOW));
    float above = Math.max(1e-4f, (float) v.share(FEATHER_ABOVE));
    return (plain, first, n, x, y, out, at) -> {
      for (int i = 0; i < n; i++) {
        int p = first + i;
        float luma = Luma.of(plain[0][p], plain[1][p], plain[2][p]);
        float low = RuleKind.smooth((luma - from) / below + 1);
        float high = RuleKind.smooth((to - luma) / above + 1);
        out[at + i] = low * high;
      }
    };
  }
}

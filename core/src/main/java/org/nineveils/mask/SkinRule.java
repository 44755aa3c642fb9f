package org.nineveils.mask;

import java.util.List;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * Skin: colours of the plain photo whose hue angle in CIE Lab lies around that of skin, neither
 * grey nor very strong, neither black nor white. From light to deep, skin differs in lightness far
 * more than in hue angle (common practice, no published source); a yellower colour must be
 * stronger, which keeps cream cloth and warm walls out. The start values are set on the regions of
 * the computer-made test photos. Where the light has a cast, the hue can be moved.
 */
final class SkinRule implements RuleKind {
  static final NumberSetting HUE = new NumberSetting("hue", "Hue", "", "°", 0, 100, 1, 50.0);
  static final NumberSetting RANGE = new NumberSetting("range", "Range", "", "°", 5, 60, 1, 23.0);
  static final NumberSetting CHROMA =
      new NumberSetting("chroma", "Chroma from", "", "", 0, 30, 0.5, 8.0);

  private static final float FEATHER = 10;
  private static final float CHROMA_FEATHER = 4;

  /** How much more chroma a yellower colour needs, a degree: cream cloth is yellower than skin. */
  private static final float CHROMA_PER_DEGREE = 0.5f;

  private static final float STRONGEST = 50;
  private static final float STRONGEST_FEATHER = 20;
  private static final float DARKEST = 18;
  private static final float LIGHTEST = 93;
  private static final float LIGHT_FEATHER = 8;

  @Override
  public String id() {
    return "skin";
  }

  @Override
  public String label() {
    return "Skin";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(HUE, RANGE, CHROMA, AMOUNT);
  }

  @Override
  public Weigher prepare(SettingValues v, int width, int height) {
    float hue = (float) v.number(HUE);
    float range = (float) v.number(RANGE);
    float floor = (float) v.number(CHROMA);
    return (plain, first, n, x, y, out, at) -> {
      LabRow row = new LabRow(plain, first, n);
      for (int i = 0; i < n; i++) {
        float chroma = (float) Math.sqrt(row.a[i] * row.a[i] + row.b[i] * row.b[i]);
        float angle = (float) Math.toDegrees(Math.atan2(row.b[i], row.a[i]));
        float far = Math.abs(angle - hue);
        float near = RuleKind.smooth((range - Math.min(far, 360 - far)) / FEATHER + 1);
        float needed = floor + CHROMA_PER_DEGREE * Math.max(0f, angle - hue);
        float some = RuleKind.smooth((chroma - needed) / CHROMA_FEATHER + 1);
        float notStrong = RuleKind.smooth((STRONGEST - chroma) / STRONGEST_FEATHER + 1);
        float notBlack = RuleKind.smooth((row.l[i] - DARKEST) / LIGHT_FEATHER + 1);
        float notWhite = RuleKind.smooth((LIGHTEST - row.l[i]) / LIGHT_FEATHER + 1);
        out[at + i] = near * some * notStrong * notBlack * notWhite;
      }
    };
  }
}

package org.nineveils.mask;

import java.util.List;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * Skin: colours of the plain photo whose hue angle in CIE Lab lies around that of skin, neither
 * grey nor very strong, nor black.
 *
 * <p>From light to deep, skin differs in lightness far more than in hue angle, and deeper skin is
 * redder (common practice, no published source). So the highest hue angle rises with lightness: h −
 * 0.27 · (L − 55) is at most hue + range. Above it, hair, wood and cream cloth are yellower. The
 * lowest is hue − 1.3 · range, whatever the lightness; clothes in brick and rust are redder. The
 * chroma that is needed is less in the deepest tones, by L / 25, and towards white, by (100 − L) /
 * 15; a yellower colour needs more. The product of all these counts from 0.18 on, from 0.44 on
 * wholly. The start values are set on the regions of the computer-made test photos. Where the light
 * has a cast, the hue can be moved; see {@link #caution} for what is taken too.
 */
final class SkinRule implements RuleKind {
  static final NumberSetting HUE = new NumberSetting("hue", "Hue", "", "°", 0, 100, 1, 49.0);
  static final NumberSetting RANGE = new NumberSetting("range", "Range", "", "°", 5, 60, 1, 13.0);
  static final NumberSetting CHROMA =
      new NumberSetting("chroma", "Chroma from", "", "", 0, 30, 0.5, 5.0);

  private static final float MIDDLE = 55;

  /** How much the highest hue angle rises, degrees a unit of lightness. */
  private static final float TILT = 0.27f;

  private static final float ABOVE_FEATHER = 5;
  private static final float BELOW = 1.3f;
  private static final float BELOW_FEATHER = 10;

  /** How much more chroma a yellower colour needs, a degree. */
  private static final float CHROMA_PER_DEGREE = 0.36f;

  /** Of the chroma that is needed, what the feather below it takes. */
  private static final float CHROMA_FEATHER = 0.32f;

  private static final float LEAST_CHROMA = 2.1f;

  /** Chroma that is never enough. */
  private static final float FAINTEST = LEAST_CHROMA * (1 - CHROMA_FEATHER);

  private static final float NEAR_WHITE = 15;
  private static final float STRONGEST = 47;
  private static final float STRONGEST_FEATHER = 12;
  private static final float DARKEST = 20;
  private static final float DARKEST_FEATHER = 6;

  /** Lightness from which a colour needs its whole chroma. */
  private static final float DEEP = 25;

  private static final float NOT = 0.18f;
  private static final float WHOLLY = 0.44f;

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
    return "Also takes lips, and fur or wood like skin: hold those off by colour or shape."
        + " Under a cast, move the hue.";
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
    float highest = hue + range;
    float lowest = hue - BELOW * range;
    return (plain, first, n, x, y, out, at) -> {
      LabRow row = new LabRow(plain, first, n);
      for (int i = 0; i < n; i++) {
        float l = row.l[i];
        float chroma = (float) Math.sqrt(row.a[i] * row.a[i] + row.b[i] * row.b[i]);
        float notStrong = RuleKind.smooth((STRONGEST - chroma) / STRONGEST_FEATHER + 1);
        float notBlack = RuleKind.smooth((l - DARKEST) / DARKEST_FEATHER + 1);
        if (notStrong * notBlack <= NOT || chroma <= FAINTEST) {
          out[at + i] = 0; // without asking for the angle, which takes longest
          continue;
        }
        float angle = (float) Math.toDegrees(Math.atan2(row.b[i], row.a[i]));
        float upright = angle - TILT * (l - MIDDLE);
        float notYellow = RuleKind.smooth((highest - upright) / ABOVE_FEATHER + 1);
        float notRed = RuleKind.smooth((angle - lowest) / BELOW_FEATHER + 1);
        float needed = needed(floor, l, upright - hue);
        float some = RuleKind.smooth((chroma - needed) / (needed * CHROMA_FEATHER) + 1);
        float all = notYellow * notRed * some * notStrong * notBlack;
        out[at + i] = RuleKind.smooth((all - NOT) / (WHOLLY - NOT));
      }
    };
  }

  /** Chroma from which a colour may be skin. */
  private static float needed(float floor, float l, float yellower) {
    float white = Math.min(1f, Math.max(0f, (100 - l) / NEAR_WHITE));
    float own = floor * Math.min(white, Math.min(1f, l / DEEP));
    return Math.max(LEAST_CHROMA, own) + CHROMA_PER_DEGREE * Math.max(0f, yellower) * white;
  }
}

package org.nineveils.mask;

import java.util.List;
import org.nineveils.colour.Lab;
import org.nineveils.setting.ColoursSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * By picked colours: what lies near one of several colours of the plain photo. Near is measured as
 * the distance in CIE Lab (ΔE*ab of CIE 15:2018, section 8.2.1.3): 1 up to the tolerance, falling
 * by 1 − 3t² + 2t³ to 0 over the feather. Without a colour it selects nothing.
 */
final class PickedRule implements RuleKind {
  static final ColoursSetting COLOURS = new ColoursSetting("colours", "Colours", "", 6);
  static final NumberSetting TOLERANCE =
      new NumberSetting("tolerance", "Tolerance", "", "ΔE", 0, 60, 0.5, 10.0);
  static final NumberSetting FEATHER =
      new NumberSetting("feather", "Feather", "", "ΔE", 0, 60, 0.5, 12.0);

  @Override
  public String id() {
    return "picked";
  }

  @Override
  public String label() {
    return "By picked colours";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(COLOURS, TOLERANCE, FEATHER, AMOUNT);
  }

  @Override
  public Weigher prepare(SettingValues v, int width, int height) {
    float tolerance = (float) v.number(TOLERANCE);
    float feather = Math.max(0.1f, (float) v.number(FEATHER));
    List<Lab> picked =
        v.get(COLOURS).stream()
            .map(ColoursSetting::rgb)
            .map(rgb -> Lab.ofSrgb(rgb[0], rgb[1], rgb[2]))
            .toList();
    return (plain, first, n, x, y, out, at) -> {
      LabRow row = new LabRow(plain, first, n);
      float[] nearest = new float[n];
      java.util.Arrays.fill(nearest, Float.MAX_VALUE);
      for (Lab colour : picked) {
        nearer(row, (float) colour.l(), (float) colour.a(), (float) colour.b(), nearest);
      }
      for (int i = 0; i < n; i++) {
        float far = (float) Math.sqrt(nearest[i]);
        out[at + i] = RuleKind.smooth((tolerance - far) / feather + 1);
      }
    };
  }

  private static void nearer(LabRow row, float l, float a, float b, float[] squares) {
    for (int i = 0; i < squares.length; i++) {
      float dl = row.l[i] - l;
      float da = row.a[i] - a;
      float db = row.b[i] - b;
      squares[i] = Math.min(squares[i], dl * dl + da * da + db * db);
    }
  }
}

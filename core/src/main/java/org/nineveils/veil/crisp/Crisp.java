package org.nineveils.veil.crisp;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.kernel.Adjustment;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Chain;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Leaning;
import org.nineveils.veil.VeilKind;

/**
 * Haze removal, local contrast at three scales and sharpening, in this order; what is at zero is
 * left out.
 *
 * <p>Works on encoded values: contrast and sharpness are judged by eye. Sharpening and local
 * contrast move the three channels by the same step, so hues hardly change. Sizes are thousandths
 * of the long side; see {@link HazeRemoval}, {@link LocalContrast}, {@link Sharpening}.
 */
public final class Crisp implements VeilKind {
  public static final NumberSetting SHARP =
      new NumberSetting("sharp", "Amount", "Sharpening", "%", 0, 300, 1, 0.0);
  public static final NumberSetting SHARP_RADIUS =
      new NumberSetting("sharpRadius", "Radius", "Sharpening", "‰", 0.1, 3, 0.05, 0.5);
  public static final NumberSetting SHARP_FROM =
      new NumberSetting("sharpFrom", "Contrast from", "Sharpening", "%", 0, 20, 0.1, 0.5);
  public static final NumberSetting SHARP_HALO =
      new NumberSetting("sharpHalo", "Brightest halo", "Sharpening", "%", 1, 50, 1, 12.0);

  public static final NumberSetting SMALL = contrast("small", "Small");
  public static final NumberSetting MEDIUM = contrast("medium", "Medium");
  public static final NumberSetting LARGE = contrast("large", "Large");

  public static final NumberSetting CLEAR =
      new NumberSetting("clear", "Amount", "Haze removal", "%", 0, 100, 1, 0.0);

  private static NumberSetting contrast(String key, String label) {
    return new NumberSetting(key, label, "Local contrast", "%", -100, 100, 1, 0.0);
  }

  @Override
  public String id() {
    return "crisp";
  }

  @Override
  public String label() {
    return "Crisp";
  }

  @Override
  public String purpose() {
    return "sharpening, local contrast, haze removal";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("sharp", 200, "medium", 70);
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(SHARP, SHARP_RADIUS, SHARP_FROM, SHARP_HALO, SMALL, MEDIUM, LARGE, CLEAR);
  }

  @Override
  public Adjustment prepare(SettingValues values, Frame frame, int edition) {
    List<AreaKernel> links = new ArrayList<>();
    if (values.number(CLEAR) > 0) {
      links.add(new HazeRemoval(values, frame));
    }
    if (values.number(SMALL) != 0 || values.number(MEDIUM) != 0 || values.number(LARGE) != 0) {
      links.add(new LocalContrast(values, frame));
    }
    if (values.number(SHARP) > 0) {
      links.add(new Sharpening(values, frame));
    }
    Kernel nothing = (in, out, n, x, y, spare) -> out.copyFrom(in, n);
    return links.isEmpty() ? nothing : Chain.of(links, frame.area());
  }

  /** Haze removal does not make a picture crisp. */
  @Override
  public Leaning leaning(SettingValues values) {
    return List.of(SHARP, SMALL, MEDIUM, LARGE).stream()
            .anyMatch(s -> Math.abs(values.number(s)) > Math.abs(s.start()))
        ? Leaning.CRISP
        : Leaning.NONE;
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return isIdentity(values);
  }

  /** With every amount at zero the other settings have nothing to act on. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return List.of(SHARP, SMALL, MEDIUM, LARGE, CLEAR).stream()
        .allMatch(amount -> values.number(amount) == 0);
  }
}

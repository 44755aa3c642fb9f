package org.nineveils.veil.curve;

import java.util.List;
import java.util.Locale;
import java.util.function.DoubleUnaryOperator;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.SettingValues;

/**
 * Levels of one channel, or of all together: the input range is stretched, bent by gamma and laid
 * into the output range, out = low + (high − low) · ((in − black) / (white − black))^(1 / gamma).
 * Tones are given as 8-bit codes.
 */
final class Levels {
  /** Narrowest input range, in 8-bit steps, so that the stretch stays finite. */
  private static final double MIN_RANGE = 1;

  private final String channel;
  private final String row;
  private final NumberSetting inBlack;
  private final NumberSetting gamma;
  private final NumberSetting inWhite;
  private final NumberSetting outBlack;
  private final NumberSetting outWhite;

  /**
   * Describes the levels of a channel.
   *
   * @param channel goes before the keys; empty for all channels
   * @param row heading of the row in the table of levels
   */
  Levels(String channel, String row) {
    this.channel = channel;
    this.row = row;
    inBlack = tone("inBlack", "Dark in", 0);
    gamma = setting("gamma", "Gamma", 0.1, 9.99, 0.01, 1);
    inWhite = tone("inWhite", "Light in", 255);
    outBlack = tone("outBlack", "Dark out", 0);
    outWhite = tone("outWhite", "Light out", 255);
  }

  private NumberSetting tone(String key, String column, double start) {
    return setting(key, column, 0, 255, 1, start);
  }

  private NumberSetting setting(
      String key, String column, double min, double max, double step, double start) {
    String full =
        channel.isEmpty()
            ? key
            : channel + key.substring(0, 1).toUpperCase(Locale.ROOT) + key.substring(1);
    NumberSetting.Cell cell = new NumberSetting.Cell(row, column, null);
    return new NumberSetting(full, row + ", " + column, "Levels", "", min, max, step, start, cell);
  }

  List<NumberSetting> settings() {
    return List.of(inBlack, gamma, inWhite, outBlack, outWhite);
  }

  /** Whether another channel's levels are set the same. */
  boolean sameAs(Levels other, SettingValues values) {
    for (int i = 0; i < settings().size(); i++) {
      if (values.number(settings().get(i)) != values.number(other.settings().get(i))) {
        return false;
      }
    }
    return true;
  }

  /** The function of an encoded tone 0…1; white below black turns the tones round. */
  DoubleUnaryOperator function(SettingValues values) {
    double from = values.number(inBlack) / 255;
    double to = Math.max(values.number(inWhite) / 255, from + MIN_RANGE / 255);
    double power = 1 / values.number(gamma);
    double low = values.number(outBlack) / 255;
    double high = values.number(outWhite) / 255;
    return u -> {
      double t = Math.min(1, Math.max(0, (u - from) / (to - from)));
      return low + (high - low) * Math.pow(t, power);
    };
  }
}

package org.nineveils.testing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.nineveils.setting.ChoiceSetting;
import org.nineveils.setting.ColoursSetting;
import org.nineveils.setting.CurveSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;

/** Values that descriptors allow, bounds more often than by chance. */
public final class RandomSettings {
  private RandomSettings() {}

  /** Raw values by key, as they come out of JSON. */
  public static Map<String, Object> of(List<Setting<?>> settings, Random random) {
    Map<String, Object> raw = new LinkedHashMap<>();
    for (Setting<?> setting : settings) {
      raw.put(setting.key(), value(setting, random));
    }
    return raw;
  }

  /**
   * The same for one kind, for ever: each setting by its own key alone, so that one that is added
   * moves no other.
   */
  public static Map<String, Object> of(String kind, List<Setting<?>> settings) {
    Map<String, Object> raw = new LinkedHashMap<>();
    for (Setting<?> setting : settings) {
      long seed = (kind + "/" + setting.key()).hashCode();
      raw.put(setting.key(), value(setting, new Random(seed)));
    }
    return raw;
  }

  private static Object value(Setting<?> setting, Random random) {
    if (setting instanceof NumberSetting n) {
      double v = n.min() + (n.max() - n.min()) * random.nextDouble();
      return random.nextInt(4) == 0 ? (random.nextBoolean() ? n.min() : n.max()) : v;
    }
    if (setting instanceof ColoursSetting c) {
      return colours(random.nextInt(c.most() + 1), random);
    }
    if (setting instanceof ChoiceSetting c) {
      return c.ids().get(random.nextInt(c.ids().size()));
    }
    if (setting instanceof PictureSetting p) {
      boolean table = p.use() == PictureSetting.Use.COLOUR_TABLE;
      return random.nextBoolean() ? (table ? Pictures.TABLE : Pictures.TEXTURE) : "";
    }
    return setting instanceof CurveSetting ? curve(random) : setting.start();
  }

  private static List<String> colours(int count, Random random) {
    List<String> out = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      out.add("#%06x".formatted(random.nextInt(1 << 24)));
    }
    return out;
  }

  private static List<List<Double>> curve(Random random) {
    int points = 2 + random.nextInt(5);
    List<List<Double>> curve = new ArrayList<>();
    for (int i = 0; i < points; i++) {
      curve.add(List.of((i + 0.8 * random.nextDouble()) / points, random.nextDouble()));
    }
    return curve;
  }
}

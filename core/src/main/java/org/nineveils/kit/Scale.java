package org.nineveils.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.nineveils.mask.Mask;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.light.Light;

/**
 * Effects of a section that are steps of one thing, such as exposures: small enough to be chosen
 * from a scale. Common practice, no published source: exposure in thirds of a stop, white balance
 * by what the photo was taken under.
 *
 * @param of what they are steps of
 * @param steps at least {@link #FEWEST}, from the least to the most
 */
public record Scale(Of of, List<Step> steps) {
  /** Fewest effects that make a scale. */
  public static final int FEWEST = 3;

  private static final String[] THIRDS = {"", "⅓", "⅔"};

  /** What a scale goes by. */
  public enum Of {
    EXPOSURE("Exposure"),
    BALANCE("White balance");

    private final String label;

    Of(String label) {
      this.label = label;
    }

    /** Name on screens. */
    public String label() {
      return label;
    }

    private NumberSetting setting() {
      return this == EXPOSURE ? Light.EXPOSURE : Light.TEMPERATURE;
    }

    /** What a step may set besides. */
    private NumberSetting besides() {
      return this == EXPOSURE ? Light.SHOULDER : Light.GREEN_TO_PINK;
    }
  }

  /**
   * An effect as a step.
   *
   * @param key of the effect
   * @param value in the unit of the setting
   * @param words its value, short
   */
  public record Step(String key, double value, String words) {}

  /**
   * The scales among the effects of a section.
   *
   * @param keys of the effects
   * @param effects effect by key, or null where there is none
   */
  public static List<Scale> among(List<String> keys, Function<String, Effect> effects) {
    Map<Of, List<Step>> found = new EnumMap<>(Of.class);
    for (String key : keys) {
      Effect effect = effects.apply(key);
      for (Of of : Of.values()) {
        value(effect, of)
            .ifPresent(
                v ->
                    found
                        .computeIfAbsent(of, o -> new ArrayList<>())
                        .add(new Step(key, v, words(of, v))));
      }
    }
    List<Scale> out = new ArrayList<>();
    found.forEach(
        (of, steps) -> {
          if (steps.size() >= FEWEST) {
            steps.sort(Comparator.comparingDouble(Step::value));
            out.add(new Scale(of, List.copyOf(steps)));
          }
        });
    return out;
  }

  /** What an effect sets; empty where it does anything besides. */
  private static Optional<Double> value(Effect effect, Of of) {
    if (effect == null || effect.veils().size() != 1) {
      return Optional.empty();
    }
    Veil veil = effect.veils().get(0);
    boolean plain = veil.mask().equals(Mask.EVERYWHERE) && !veil.lifted();
    if (!plain || !(veil.kind() instanceof Light)) {
      return Optional.empty();
    }
    Set<Setting<?>> set = new HashSet<>(veil.kind().settings());
    set.removeIf(s -> isAtStart(s, veil.settings()));
    boolean alone = set.remove(of.setting()) && (set.isEmpty() || set.equals(Set.of(of.besides())));
    return alone ? Optional.of(veil.settings().number(of.setting())) : Optional.empty();
  }

  private static <T> boolean isAtStart(Setting<T> setting, SettingValues values) {
    return setting.start().equals(values.get(setting));
  }

  /** Stops in thirds where they are that; mired as they are. */
  private static String words(Of of, double value) {
    String sign = value < 0 ? "−" : "+";
    long thirds = Math.round(Math.abs(value) * 3);
    if (of == Of.EXPOSURE && Math.abs(Math.abs(value) * 3 - thirds) < 0.05) {
      String whole = thirds >= 3 ? String.valueOf(thirds / 3) : "";
      return sign + whole + THIRDS[(int) (thirds % 3)];
    }
    String number = of == Of.EXPOSURE ? "%.2f" : "%.0f";
    return sign + String.format(Locale.ROOT, number, Math.abs(value));
  }
}

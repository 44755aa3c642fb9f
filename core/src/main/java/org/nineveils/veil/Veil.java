package org.nineveils.veil;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.blend.BlendMode;
import org.nineveils.mask.Mask;
import org.nineveils.mask.RuleNumber;
import org.nineveils.refusal.Seen;
import org.nineveils.setting.InvalidSetting;
import org.nineveils.setting.SettingValues;

/**
 * One adjustable layer.
 *
 * @param id stays with the veil while its effect is edited and packed; paint refers to it
 * @param name what the maker calls it, 1…60 characters
 * @param kind the sort of adjustment
 * @param settings values for the kind
 * @param blend how the adjusted picture is laid over what is below
 * @param opacity share of the veil, 0…1
 * @param lifted switched off, settings kept
 * @param mask where it covers
 * @param meantFor region that a brush-on veil is made for; empty where it does not matter
 */
public record Veil(
    String id,
    String name,
    VeilKind kind,
    SettingValues settings,
    BlendMode blend,
    double opacity,
    boolean lifted,
    Mask mask,
    String meantFor) {
  /** Longest name of a veil. */
  public static final int MAX_NAME = 60;

  public Veil {
    name = Seen.line(name);
    meantFor = Seen.line(meantFor);
    if (id.isBlank() || id.length() > 40) {
      throw new InvalidSetting("A veil must have an id of 1 to 40 characters.");
    }
    if (name.isBlank() || name.length() > MAX_NAME) {
      throw new InvalidSetting(
          String.format(Locale.ROOT, "A veil must have a name of 1 to %d characters.", MAX_NAME));
    }
    checkOpacity("Veil “%s”".formatted(name), opacity);
  }

  /**
   * Refuses an opacity outside 0…1.
   *
   * @throws InvalidSetting naming the thing and the value in per cent
   */
  public static void checkOpacity(String what, double opacity) {
    if (!(opacity >= 0 && opacity <= 1)) {
      throw new InvalidSetting(
          "%s: opacity must be between 0 and 100 %%, but was %s %%."
              .formatted(what, Math.round(opacity * 1000) / 10.0));
    }
  }

  /** The same veil let down to another share. */
  public Veil withOpacity(double share) {
    return new Veil(id, name, kind, settings, blend, share, lifted, mask, meantFor);
  }

  /** The same veil blended otherwise. */
  public Veil withBlend(BlendMode other) {
    return new Veil(id, name, kind, settings, other, opacity, lifted, mask, meantFor);
  }

  /** The same veil covering elsewhere. */
  public Veil withMask(Mask other) {
    return new Veil(id, name, kind, settings, blend, opacity, lifted, other, meantFor);
  }

  /**
   * The same veil with some numbers at other values.
   *
   * @param values by key of a setting of its kind, or of a rule of its mask as {@link RuleNumber}
   *     writes it
   * @throws InvalidSetting if a key is unknown or a value out of range
   */
  public Veil withNumbers(Map<String, Double> values) {
    if (values.isEmpty()) {
      return this;
    }
    Map<String, Object> all = settings.format();
    Mask covers = mask;
    for (Map.Entry<String, Double> one : values.entrySet()) {
      Optional<RuleNumber> ruled = RuleNumber.parse(one.getKey());
      if (ruled.isPresent()) {
        covers = ruled.get().set(covers, one.getValue());
      } else {
        all.put(one.getKey(), one.getValue());
      }
    }
    SettingValues next = SettingValues.parse(kind.settings(), all);
    return new Veil(id, name, kind, next, blend, opacity, lifted, covers, meantFor);
  }

  /** The same veil made for another region. */
  public Veil meant(String region) {
    return new Veil(id, name, kind, settings, blend, opacity, lifted, mask, region);
  }

  /** The same veil under another id. */
  public Veil withId(String other) {
    return new Veil(other, name, kind, settings, blend, opacity, lifted, mask, meantFor);
  }

  /** The same veil lifted or let down. */
  public Veil withLifted(boolean up) {
    return new Veil(id, name, kind, settings, blend, opacity, up, mask, meantFor);
  }
}

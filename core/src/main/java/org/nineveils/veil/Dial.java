package org.nineveils.veil;

import java.util.Locale;
import org.nineveils.mask.RuleNumber;
import org.nineveils.refusal.Seen;
import org.nineveils.setting.InvalidSetting;
import org.nineveils.setting.NumberSetting;

/**
 * A setting that the photographer may change, within a range that the maker chose.
 *
 * @param veil id of the veil that it turns
 * @param key of a number setting of that veil's kind, or of a rule of its mask as {@link
 *     RuleNumber} writes it
 * @param label what the photographer reads, 1…{@value #MAX_LABEL} characters
 * @param min smallest value, in the setting's unit
 * @param max largest value, above min
 * @param heading that it stands under on the card, at most {@value #MAX_LABEL} characters; empty
 *     for none
 */
public record Dial(String veil, String key, String label, double min, double max, String heading) {
  /** Longest label. */
  public static final int MAX_LABEL = 40;

  public Dial {
    label = Seen.line(label);
    heading = Seen.line(heading);
    if (label.isBlank() || label.length() > MAX_LABEL) {
      throw new InvalidSetting(
          String.format(Locale.ROOT, "A dial must have a label of 1 to %d characters.", MAX_LABEL));
    }
    if (!(min < max)) {
      throw new InvalidSetting(
          "Dial “%s” must end above where it begins, but runs from %s to %s."
              .formatted(label, min, max));
    }
    if (heading.length() > MAX_LABEL) {
      throw new InvalidSetting(
          String.format(
              Locale.ROOT, "A heading on the card has at most %d characters.", MAX_LABEL));
    }
  }

  /** A dial under no heading. */
  public Dial(String veil, String key, String label, double min, double max) {
    this(veil, key, label, min, max, "");
  }

  /** The same dial on a veil of another id. */
  public Dial of(String id) {
    return new Dial(id, key, label, min, max, heading);
  }

  /**
   * The setting that it turns.
   *
   * @param of the veil of its id
   * @throws InvalidSetting if the kind has no such number, or its range or the veil's own value
   *     does not fit the range of the dial
   */
  public NumberSetting setting(Veil of) {
    Turnable turned =
        Turnable.of(of, key)
            .orElseThrow(
                () ->
                    new InvalidSetting(
                        "Dial “%s” turns “%s”, which is no number of the veil “%s”."
                            .formatted(label, key, of.name())));
    NumberSetting number = turned.setting();
    double own = turned.value();
    if (min < number.min() || max > number.max() || own < min || own > max) {
      throw new InvalidSetting(
          "Dial “%s” must lie within %s to %s and hold the veil's own value %s, but runs from %s to %s."
              .formatted(label, number.min(), number.max(), own, min, max));
    }
    return number;
  }

  /** The same dial, wide enough for what a veil has that it fits. */
  Dial holding(Veil of) {
    double own = Turnable.of(of, key).orElseThrow().value();
    return new Dial(veil, key, label, Math.min(min, own), Math.max(max, own), heading);
  }

  /** Whether a veil has the number that it turns. */
  public boolean fits(Veil of) {
    return Turnable.of(of, key).isPresent();
  }

  /**
   * Whether it turns what it was made for on a veil whose mask may be another by now: where it
   * turns a rule, the rule there is still of that sort.
   */
  public boolean reaches(Veil own, Veil now) {
    return RuleNumber.parse(key).map(n -> n.isAlike(own.mask(), now.mask())).orElse(true);
  }

  /** The value nearest to a wanted one that the dial allows. */
  public double within(double value) {
    return Math.min(max, Math.max(min, value));
  }
}

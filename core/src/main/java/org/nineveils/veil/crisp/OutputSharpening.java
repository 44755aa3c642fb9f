package org.nineveils.veil.crisp;

import java.util.Map;
import java.util.Optional;
import org.nineveils.blend.BlendMode;
import org.nineveils.mask.Mask;
import org.nineveils.refusal.Ids;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Veil;

/**
 * Sharpening of a result for where it is looked at, as the last veil of all: radius and amount in
 * pixels of the result. Common practice, no published source.
 */
public enum OutputSharpening {
  /** As it is. */
  NONE("none", "not sharpened", 0, 0),
  /** Pixels are seen one by one. */
  SCREEN("screen", "sharpened for screens", 0.6, 60),
  /** Ink and paper soften: wider, and more of it. */
  PRINT("print", "sharpened for print", 1.1, 110);

  private static final double FROM = 1;
  private static final double HALO = 10;

  private final String id;
  private final String words;
  private final double radius;
  private final double amount;

  OutputSharpening(String id, String words, double radius, double amount) {
    this.id = id;
    this.words = words;
    this.radius = radius;
    this.amount = amount;
  }

  /** Name in requests and options. */
  public String id() {
    return id;
  }

  /** What it is, for the user. */
  public String words() {
    return words;
  }

  /**
   * The one of that name.
   *
   * @throws IllegalArgumentException with a sentence if there is none
   */
  public static OutputSharpening ofId(String id) {
    return Ids.find(values(), OutputSharpening::id, id)
        .orElseThrow(
            () ->
                new org.nineveils.refusal.Refusal(
                    "Results are sharpened for screen, for print, or none; not for “%s”."
                        .formatted(id)));
  }

  /**
   * The veil that does it; empty for none.
   *
   * @param longSide of the result, pixels; where it is beyond what {@link Crisp#SHARP_RADIUS}
   *     takes, the nearest radius is used
   */
  public Optional<Veil> veil(int longSide) {
    if (amount == 0) {
      return Optional.empty();
    }
    double share =
        Math.min(
            Crisp.SHARP_RADIUS.max(), Math.max(Crisp.SHARP_RADIUS.min(), 1000 * radius / longSide));
    Crisp kind = new Crisp();
    SettingValues values =
        SettingValues.parse(
            kind.settings(),
            Map.of(
                Crisp.SHARP.key(), amount,
                Crisp.SHARP_RADIUS.key(), share,
                Crisp.SHARP_FROM.key(), FROM,
                Crisp.SHARP_HALO.key(), HALO));
    return Optional.of(
        new Veil(
            "out", "For output", kind, values, BlendMode.NORMAL, 1, false, Mask.EVERYWHERE, ""));
  }
}

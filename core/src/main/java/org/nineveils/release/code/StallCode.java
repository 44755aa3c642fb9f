package org.nineveils.release.code;

import java.util.Locale;
import java.util.random.RandomGenerator;
import org.nineveils.refusal.Refusal;

/**
 * A code such as {@code KXMP-4F7C}: seven letters drawn at random and one that checks them, of an
 * alphabet of 23 without vowels (so that no words come about) and without letters that look like
 * one another. One wrong letter, or two that changed places, are always noticed.
 *
 * @param letters eight, checked
 */
public record StallCode(String letters) {
  /** 23 of them, a prime, as {@link WeightedSum} asks. */
  static final String ALPHABET = "CDFGHJKMNPRTVWXY2345789";

  private static final int LENGTH = 8;

  /** What is typed in the place of a letter that it looks like. */
  private static final String MISTAKEN = "SZB";

  private static final String MEANT = "528";

  /**
   * A code as somebody typed it: upper and lower case alike, spaces and hyphens anywhere.
   *
   * @throws Refusal with a sentence if it is none, or was typed wrongly
   */
  public static StallCode parse(String typed) {
    String clean = typed.toUpperCase(Locale.ROOT).replaceAll("[\\s\\p{Pd}]+", "");
    StringBuilder letters = new StringBuilder();
    for (int i = 0; i < clean.length(); i++) {
      char c = clean.charAt(i);
      int mistaken = MISTAKEN.indexOf(c);
      char meant = mistaken < 0 ? c : MEANT.charAt(mistaken);
      if (ALPHABET.indexOf(meant) < 0) {
        throw new Refusal(
            "“%s” is no letter of a code; codes are made of %s.".formatted(c, ALPHABET));
      }
      letters.append(meant);
    }
    if (letters.length() != LENGTH) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "A code has %d letters; “%s” has %d.",
              LENGTH,
              typed.strip(),
              letters.length()));
    }
    StallCode code = new StallCode(letters.toString());
    if (check(code.letters.substring(0, LENGTH - 1)) != code.letters.charAt(LENGTH - 1)) {
      throw new Refusal(
          "“%s” was typed with an error: one of its letters is another, or two changed places."
              .formatted(code.shown()));
    }
    return code;
  }

  /** A new one. */
  public static StallCode draw(RandomGenerator random) {
    StringBuilder letters = new StringBuilder();
    for (int i = 0; i < LENGTH - 1; i++) {
      letters.append(ALPHABET.charAt(random.nextInt(ALPHABET.length())));
    }
    return new StallCode(letters.append(check(letters.toString())).toString());
  }

  private static char check(String letters) {
    int[] digits = letters.chars().map(ALPHABET::indexOf).toArray();
    return ALPHABET.charAt(WeightedSum.check(digits, ALPHABET.length()));
  }

  /** As people read it: in two halves. */
  public String shown() {
    return letters.substring(0, LENGTH / 2) + "-" + letters.substring(LENGTH / 2);
  }
}

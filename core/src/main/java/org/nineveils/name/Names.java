package org.nineveils.name;

import java.text.Normalizer;
import java.util.Locale;
import org.nineveils.refusal.Refusal;

/**
 * What kits, sections, effects and collections may be called, when two names are the same, and how
 * names become file names.
 *
 * <p>Names are kept in Unicode's normal form C (Unicode Standard Annex 15) without characters that
 * nobody sees, and counted in code points, so that no letter is ever cut in two.
 */
public final class Names {
  /** Longest name, in code points. */
  public static final int MAX = 60;

  private Names() {}

  /**
   * The name in normal form, without white space around it.
   *
   * @param what the thing that is named, for messages: “A kit”
   * @throws Refusal with a sentence if the name is empty, too long or holds control characters
   */
  public static String check(String what, String name) {
    String clean = clean(name == null ? "" : name);
    if (clean.isEmpty()) {
      throw new Refusal("%s needs a name.".formatted(what));
    }
    int length = clean.codePointCount(0, clean.length());
    if (length > MAX) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "%s has a name of at most %d characters; this one has %d.",
              what,
              MAX,
              length));
    }
    if (clean.chars().anyMatch(Character::isISOControl)) {
      throw new Refusal("%s has a name in one line.".formatted(what));
    }
    return clean;
  }

  /**
   * Text in normal form C, without characters that nobody sees (Unicode category Cf, but for the
   * joiners that some scripts write with) and without white space around it.
   */
  public static String clean(String text) {
    StringBuilder seen = new StringBuilder(text.length());
    text.codePoints()
        .filter(c -> Character.getType(c) != Character.FORMAT || joins(c))
        .filter(c -> Character.getType(c) != Character.SURROGATE)
        .forEach(seen::appendCodePoint);
    String normal = Normalizer.normalize(seen, Normalizer.Form.NFC);
    int from = 0;
    int to = normal.length();
    while (from < to && isMargin(normal.codePointAt(from))) {
      from += Character.charCount(normal.codePointAt(from));
    }
    while (to > from && isMargin(normal.codePointBefore(to))) {
      to -= Character.charCount(normal.codePointBefore(to));
    }
    return normal.substring(from, to);
  }

  /** Zero-width joiner and non-joiner: without them some words and signs are written wrongly. */
  private static boolean joins(int c) {
    return c == 0x200C || c == 0x200D;
  }

  private static boolean isMargin(int c) {
    return Character.isWhitespace(c) || Character.isSpaceChar(c) || joins(c);
  }

  /** Two names are the same where their keys are equal: compared without case, in every script. */
  public static String key(String name) {
    String folded = clean(name).toUpperCase(Locale.ROOT).toLowerCase(Locale.ROOT);
    return Normalizer.normalize(folded, Normalizer.Form.NFKC);
  }

  /** At most that many code points of a text. */
  public static String cut(String text, int most) {
    return text.codePointCount(0, text.length()) <= most
        ? text
        : text.substring(0, text.offsetByCodePoints(0, most)).strip();
  }

  /** A name with a number behind it, for where the name itself is taken; never too long. */
  public static String numbered(String name, int number) {
    String tail = " " + number;
    return cut(name, MAX - tail.length()) + tail;
  }

  /**
   * A version of up to three numbers and an optional word, such as 1.0.2 or 2.0-beta.
   *
   * @throws Refusal with a sentence if it is none
   */
  public static String checkVersion(String version) {
    String clean = version == null ? "" : version.strip();
    if (!clean.matches("[0-9]{1,4}(\\.[0-9]{1,4}){0,2}(-[a-z0-9]{1,12})?")) {
      throw new Refusal(
          "A version is up to three numbers with dots, such as 1.0.2, but was “%s”."
              .formatted(clean));
    }
    return clean;
  }

  /** A name as a part of a file name: a–z, 0–9 and hyphens, never empty. */
  public static String slug(String name) {
    String plain = Normalizer.normalize(name, Normalizer.Form.NFD).toLowerCase(Locale.ROOT);
    String slug = plain.replaceAll("\\p{M}", "").replaceAll("[^a-z0-9]+", "-");
    slug = slug.replaceAll("^-|-$", "");
    return slug.isEmpty() ? "unnamed" : slug;
  }
}

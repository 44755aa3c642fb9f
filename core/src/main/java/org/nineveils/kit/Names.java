package org.nineveils.kit;

import java.text.Normalizer;
import java.util.Locale;

/** What kits, sections, effects and collections may be called, and how names become file names. */
public final class Names {
  /** Longest name. */
  public static final int MAX = 60;

  private Names() {}

  /**
   * The name without white space around it.
   *
   * @param what the thing that is named, for messages: “A kit”
   * @throws IllegalArgumentException with a sentence if the name is empty, too long or holds
   *     control characters
   */
  public static String check(String what, String name) {
    String clean = name == null ? "" : name.strip();
    if (clean.isEmpty()) {
      throw new IllegalArgumentException("%s needs a name.".formatted(what));
    }
    if (clean.length() > MAX) {
      throw new IllegalArgumentException(
          "%s has a name of at most %d characters; this one has %d."
              .formatted(what, MAX, clean.length()));
    }
    if (clean.chars().anyMatch(Character::isISOControl)) {
      throw new IllegalArgumentException("%s has a name in one line.".formatted(what));
    }
    return clean;
  }

  /**
   * A version of up to three numbers and an optional word, such as 1.0.2 or 2.0-beta.
   *
   * @throws IllegalArgumentException with a sentence if it is none
   */
  public static String checkVersion(String version) {
    String clean = version == null ? "" : version.strip();
    if (!clean.matches("[0-9]{1,4}(\\.[0-9]{1,4}){0,2}(-[a-z0-9]{1,12})?")) {
      throw new IllegalArgumentException(
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

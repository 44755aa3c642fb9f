package org.nineveils.name;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.nineveils.refusal.Refusal;

/**
 * How results of many photos are called: words with {@code {photo}}, {@code {look}}, {@code
 * {number}} and {@code {date}} in them, without an ending.
 *
 * @param text 1…{@value #MOST} characters, with the photo's name or the number in it
 */
public record NamePattern(String text) {
  /** Most characters. */
  public static final int MOST = 80;

  /** Most characters that a photo's name or a look's gives to it. */
  private static final int MOST_OF_ONE = 80;

  private static final Set<String> WORDS = Set.of("photo", "look", "number", "date");
  private static final Pattern WORD = Pattern.compile("\\{([^{}]*)}");
  private static final String UNFIT = "[\\p{Cntrl}/\\\\:*?\"<>|]+";

  /** The pattern where none is chosen. */
  public static final NamePattern START = new NamePattern("{photo}-{look}");

  /** The pattern of that text; the one that is used where none is chosen for an empty one. */
  public static NamePattern ofText(String text) {
    return text.isEmpty() ? START : new NamePattern(text);
  }

  public NamePattern {
    if (text.isBlank() || text.length() > MOST) {
      throw new Refusal(
          String.format(Locale.ROOT, "Names of results take 1 to %d characters.", MOST));
    }
    Matcher words = WORD.matcher(text);
    while (words.find()) {
      if (!WORDS.contains(words.group(1))) {
        throw new Refusal(
            "“{%s}” is no part of a name; there are {photo}, {look}, {number} and {date}."
                .formatted(words.group(1)));
      }
    }
    String plain = WORD.matcher(text).replaceAll("");
    if (Pattern.compile(UNFIT + "|[{}]").matcher(plain).find() || text.startsWith(".")) {
      throw new Refusal(
          "“%s” cannot be part of a file's name: leave out / \\ : * ? \" < > | { } and a dot at the front."
              .formatted(text));
    }
    if (!text.contains("{photo}") && !text.contains("{number}")) {
      throw new Refusal(
          "Names of results need {photo} or {number}, so that each photo gets one of its own.");
    }
  }

  /**
   * The name of a result, without an ending.
   *
   * @param photo name of the photo's file, with or without its ending
   * @param look name of what it wears
   * @param number of the photo, counted from 1
   * @param taken gives the day on which it was taken, empty where nobody says; asked only where a
   *     name says it
   */
  public String of(String photo, String look, int number, Supplier<Optional<LocalDate>> taken) {
    Optional<LocalDate> day = text.contains("{date}") ? taken.get() : Optional.empty();
    Map<String, String> words =
        Map.of(
            "photo", fit(photo.replaceFirst("\\.[A-Za-z]{3,4}$", "")),
            "look", fit(look),
            "number", String.format(Locale.ROOT, "%03d", number),
            "date", day.map(LocalDate::toString).orElse("undated"));
    return WORD.matcher(text).replaceAll(m -> Matcher.quoteReplacement(words.get(m.group(1))));
  }

  private static String fit(String name) {
    String clean = name.replaceAll(UNFIT, "-").replaceFirst("^[.\\s]+", "").strip();
    int length = clean.codePointCount(0, clean.length());
    String cut =
        length <= MOST_OF_ONE
            ? clean
            : clean.substring(0, clean.offsetByCodePoints(0, MOST_OF_ONE));
    return cut.isEmpty() ? "photo" : cut;
  }
}

package org.nineveils.release;

import java.util.Locale;
import java.util.regex.Pattern;
import org.nineveils.refusal.Refusal;

/** What the words that travel in a release may be: the one table of their bounds. */
public enum Words {
  MAKERS_MARK("The maker's mark", 60, false),
  LICENCE("The licence", 200, false),
  NOTES("The notes", 4000, true),
  PURPOSE("What a kit is for", 200, false),
  NEWS("A line of what is new", 500, false),
  PRICE("The line of the price", 80, false);

  /** Most lines of what is new. */
  static final int MOST_NEWS = 400;

  /** Control characters; in several lines, line ends and tabs are none. */
  private static final String ONE_LINE = "^[^\\u0000-\\u001f\\u007f]*$";

  private static final String LINES = "^[^\\u0000-\\u0008\\u000b\\u000c\\u000e-\\u001f\\u007f]*$";

  private final String what;
  private final int most;
  private final boolean lines;

  Words(String what, int most, boolean lines) {
    this.what = what;
    this.most = most;
    this.lines = lines;
  }

  /** Most characters (code points). */
  public int most() {
    return most;
  }

  /** A regular expression that all of the words match. */
  public String pattern() {
    return lines ? LINES : ONE_LINE;
  }

  /**
   * The words, if they may be so.
   *
   * @throws Refusal with a sentence if they may not
   */
  public String check(String words) {
    if (words.codePointCount(0, words.length()) > most) {
      throw new Refusal(String.format(Locale.ROOT, "%s takes at most %d characters.", what, most));
    }
    if (!Pattern.compile(pattern()).matcher(words).matches()) {
      throw new Refusal(
          lines
              ? "%s holds characters that nobody can see.".formatted(what)
              : "%s is one line.".formatted(what));
    }
    return words;
  }
}

package org.nineveils.refusal;

/**
 * Words as they can stand in every file that we write: without characters that no XML document may
 * hold (XML 1.0, section 2.2), which come along unseen where text is pasted.
 */
public final class Seen {
  private Seen() {}

  /** Words of several lines; a vertical tab or form feed becomes the line end that it stood for. */
  public static String lines(String text) {
    if (text.codePoints().allMatch(Seen::isInXml)) {
      return text;
    }
    StringBuilder out = new StringBuilder(text.length());
    text.codePoints()
        .map(c -> c == 0x0B || c == 0x0C ? '\n' : c)
        .filter(Seen::isInXml)
        .forEach(out::appendCodePoint);
    return out.toString();
  }

  /** Words of one line; what ends a line becomes a blank. */
  public static String line(String text) {
    String seen = lines(text);
    return seen.indexOf('\n') < 0 && seen.indexOf('\r') < 0
        ? seen
        : seen.replaceAll("[\r\n]+", " ");
  }

  private static boolean isInXml(int c) {
    return c == '\t'
        || c == '\n'
        || c == '\r'
        || (c >= 0x20 && c <= 0xD7FF)
        || (c >= 0xE000 && c <= 0xFFFD)
        || c >= 0x10000;
  }
}

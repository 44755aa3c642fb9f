package org.nineveils.guide;

import java.util.Base64;

/** XHTML as it is written: what is not markup is escaped. */
public final class Markup {
  private final StringBuilder out = new StringBuilder();

  /** Markup with words in it, each “%s” escaped. */
  public Markup add(String markup, Object... words) {
    Object[] escaped = new Object[words.length];
    for (int i = 0; i < words.length; i++) {
      escaped[i] = escape(String.valueOf(words[i]));
    }
    out.append(escaped.length == 0 ? markup : markup.formatted(escaped));
    return this;
  }

  /** Other markup. */
  public Markup add(Markup other) {
    out.append(other);
    return this;
  }

  /** A picture of a box of millimetres that it fits into. */
  Markup picture(byte[] jpeg, String alt, double wide, double high) {
    int[] size = JpegSize.of(jpeg);
    double share = Math.min(wide / size[0], high / size[1]);
    return add(
        "<img src=\"data:image/jpeg;base64,%s\" alt=\"%s\" style=\"width:%smm;height:%smm\" />",
        Base64.getEncoder().encodeToString(jpeg),
        alt,
        rounded(size[0] * share),
        rounded(size[1] * share));
  }

  private static String rounded(double millimetres) {
    return String.valueOf(Math.round(millimetres * 10) / 10.0);
  }

  private static String escape(String text) {
    StringBuilder out = new StringBuilder();
    text.codePoints()
        .forEach(
            c -> {
              switch (c) {
                case '&' -> out.append("&amp;");
                case '<' -> out.append("&lt;");
                case '>' -> out.append("&gt;");
                case '"' -> out.append("&quot;");
                default -> out.appendCodePoint(c);
              }
            });
    return out.toString();
  }

  /** Text of several lines as paragraphs. */
  Markup paragraphs(String text) {
    text.lines().filter(l -> !l.isBlank()).forEach(l -> add("<p>%s</p>", l));
    return this;
  }

  @Override
  public String toString() {
    return out.toString();
  }
}

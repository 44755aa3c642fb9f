package org.nineveils.guide;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Base64;
import java.util.Locale;

/** The fonts of guides, as files beside this class. */
enum Fonts {
  SANS("sans.ttf", "Instrument Sans", 400, false),
  SANS_STRONG("sans-strong.ttf", "Instrument Sans", 600, false),
  SANS_EXT("sans-ext.ttf", "Instrument Sans Ext", 400, false),
  SANS_STRONG_EXT("sans-strong-ext.ttf", "Instrument Sans Ext", 600, false),
  BOOK("book.ttf", "Newsreader", 400, true),
  BOOK_EXT("book-ext.ttf", "Newsreader Ext", 400, true);

  private final String file;
  final String family;
  final int weight;
  final boolean italic;

  Fonts(String file, String family, int weight, boolean italic) {
    this.file = file;
    this.family = family;
    this.weight = weight;
    this.italic = italic;
  }

  InputStream open() {
    return Fonts.class.getResourceAsStream(file);
  }

  /** The same as PDFs are set with it; see {@link Plainly}. */
  InputStream openPlain() {
    try (InputStream in = open()) {
      return new ByteArrayInputStream(Plainly.set(in.readAllBytes()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** All of them as styles of a web page that stands alone. */
  static Markup within() {
    StringBuilder out = new StringBuilder("<style>\n");
    for (Fonts font : values()) {
      try (InputStream in = font.open()) {
        out.append("@font-face { font-family: \"%s\"; ".formatted(font.family))
            .append(String.format(Locale.ROOT, "font-weight: %d; ", font.weight))
            .append(font.italic ? "font-style: italic; " : "")
            .append("src: url(data:font/ttf;base64,")
            .append(Base64.getEncoder().encodeToString(in.readAllBytes()))
            .append("); }\n");
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return new Markup().add(out.append("</style>").toString());
  }
}

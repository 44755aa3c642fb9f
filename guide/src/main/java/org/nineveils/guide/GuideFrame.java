package org.nineveils.guide;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.nineveils.release.Release;

/** What guide and contact sheet have in common: head, bookmarks, cover. */
final class GuideFrame {
  private final Release release;
  private final String title;
  private final boolean pdf;
  private final Markup bookmarks = new Markup();
  private int anchors;

  /**
   * @param title of the page
   * @param pdf whether it is laid out as one, with bookmarks; a web page carries its fonts itself
   */
  GuideFrame(Release release, String title, boolean pdf) {
    this.release = release;
    this.title = title;
    this.pdf = pdf;
  }

  /** Counts an anchor that a bookmark of a kit and its sections leads to. */
  String anchor() {
    return "part-" + ++anchors;
  }

  /** A bookmark with those of its parts. */
  void bookmark(String name, String anchor, Markup parts) {
    bookmarks
        .add("<bookmark name=\"%s\" href=\"#%s\">", name, anchor)
        .add(parts)
        .add("</bookmark>");
  }

  /** The whole page. */
  String page(Markup body) {
    String called = "%s %s, %s".formatted(release.name(), release.version(), title);
    return new Markup()
        .add("<!DOCTYPE html>\n<html lang=\"en-GB\" xmlns=\"http://www.w3.org/1999/xhtml\">")
        .add("<head><meta charset=\"UTF-8\" /><title>%s</title>", called)
        .add("<meta name=\"viewport\" content=\"width=device-width, initial-scale=1\" />")
        .add("<meta name=\"author\" content=\"%s\" />", release.makersMark())
        .add("<meta name=\"subject\" content=\"%s\" />", called)
        .add("<meta name=\"description\" content=\"%s\" />", called)
        .add("<style>\n" + style() + "</style>")
        .add(pdf ? bookmarked() : Fonts.within())
        .add("</head><body><main>")
        .add(body)
        .add("</main></body></html>")
        .toString();
  }

  private Markup bookmarked() {
    return new Markup().add("<bookmarks>").add(bookmarks).add("</bookmarks>");
  }

  private static String style() {
    try (InputStream in = GuideFrame.class.getResourceAsStream("guide.css")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The front: name, maker, the cover before and after. */
  void front(Markup to, double wide, double high) {
    to.add("<div class=\"front\">");
    if (release.cover().isThere()) {
      to.add("<div class=\"cover\">");
      to.picture(release.cover().before(), "The cover before", wide, high);
      to.picture(release.cover().after(), "The cover after", wide, high);
      to.add("</div>");
    }
    to.add("<h1>%s</h1>", release.name());
    String by = release.makersMark().isBlank() ? "" : " by " + release.makersMark();
    int effects = release.effects().size();
    to.add(
        "<p class=\"by\">%s, version %s%s · %s</p>",
        title, release.version(), by, effects == 1 ? "one effect" : effects + " effects");
    if (!release.licence().isBlank()) {
      to.add("<p class=\"quiet\">%s</p>", release.licence());
    }
    to.add("</div>");
  }
}

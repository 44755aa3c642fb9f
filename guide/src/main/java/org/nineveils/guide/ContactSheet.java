package org.nineveils.guide;

import org.nineveils.release.Release;

/** The contact sheet of a release: every effect small, by kits and sections. */
final class ContactSheet {
  private static final double WIDE = 41;
  private static final double HIGH = 34;

  private final Release release;
  private final GuideFrame frame;

  ContactSheet(Release release, boolean pdf) {
    this.release = release;
    this.frame = new GuideFrame(release, "Contact sheet", pdf);
  }

  String page() {
    Markup body = new Markup();
    body.add("<div class=\"sheet\"><h1>%s</h1>", release.name());
    String by = release.makersMark().isBlank() ? "" : " by " + release.makersMark();
    body.add("<p class=\"by\">Contact sheet, version %s%s</p>", release.version(), by);
    for (Release.KitPart kit : release.kits()) {
      String anchor = frame.anchor();
      Markup marks = new Markup();
      body.add("<h2 id=\"%s\">%s</h2>", anchor, kit.name());
      kit.sections().stream()
          .filter(s -> !s.effects().isEmpty())
          .forEach(s -> section(s, body, marks));
      frame.bookmark(kit.name(), anchor, marks);
    }
    return frame.page(body.add("</div>"));
  }

  private void section(Release.SectionPart section, Markup to, Markup marks) {
    String anchor = frame.anchor();
    marks.add("<bookmark name=\"%s\" href=\"#%s\"></bookmark>", section.name(), anchor);
    to.add(
        "<h3 id=\"%s\"><span class=\"number\">%s</span> %s</h3><div class=\"cells\">",
        anchor, section.number(), section.name());
    for (Release.EffectPart effect : section.effects()) {
      to.add("<div class=\"cell\"><div class=\"cell-picture\">");
      if (effect.after().length > 0) {
        to.picture(effect.after(), effect.name(), WIDE, HIGH);
      }
      to.add("</div><p>%s</p></div>", effect.name());
    }
    to.add("</div>");
  }
}

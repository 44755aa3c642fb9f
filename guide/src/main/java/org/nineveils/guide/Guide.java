package org.nineveils.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.nineveils.kit.Against;
import org.nineveils.mask.Cover;
import org.nineveils.release.Release;
import org.nineveils.setting.NumberSetting;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** The guide of a release: how to begin, then each section with its rule and each effect. */
final class Guide {
  /** Millimetres that pictures fit into: of the cover, and of an effect. */
  private static final double COVER_WIDE = 88.5;

  private static final double COVER_HIGH = 150;
  private static final double WIDE = 40;
  private static final double HIGH = 46;

  private final Release release;
  private final GuideFrame frame;

  Guide(Release release, boolean pdf) {
    this.release = release;
    this.frame = new GuideFrame(release, "Guide", pdf);
  }

  String page() {
    Markup body = new Markup();
    Markup kits = new Markup();
    Markup contents = new Markup();
    String begin = frame.anchor();
    frame.bookmark("How to begin", begin, new Markup());
    for (Release.KitPart kit : release.kits()) {
      kit(kit, kits, contents);
    }
    frame.front(body, COVER_WIDE, COVER_HIGH);
    body.add("<div class=\"begin\" id=\"%s\"><h2>How to begin</h2>", begin);
    if (!release.notes().isBlank()) {
      body.add("<div class=\"note\">").paragraphs(release.notes()).add("</div>");
    }
    begin(body);
    body.add(
        "<div class=\"contents\" role=\"navigation\" aria-label=\"Contents\"><h2>Contents</h2>");
    body.add("<ul>").add(contents).add("</ul></div></div>");
    news(body);
    return frame.page(body.add(kits));
  }

  /** How an effect is worn, painted and eased: the same for every release. */
  private static void begin(Markup to) {
    to.add("<ol class=\"steps\">");
    to.add("<li>Open the release at the desk: as a file, or by its code.</li>");
    to.add("<li>Add a photo and wear an effect. Point at one to see it on the photo first.</li>");
    to.add(
        "<li>Ease it: pull its hem up until it is right. Most effects end up a little lower.</li>");
    to.add("<li>Brush it off where it does harm, or on where a brush-on veil waits hidden.</li>");
    to.add("<li>Turn its dials, and move what has a place on the picture itself.</li>");
    to.add("<li>Hold P for the plain photo, as often as you like.</li></ol>");
  }

  private void news(Markup to) {
    if (release.news().lines().isEmpty()) {
      return;
    }
    to.add("<div class=\"news\"><h2>New since %s</h2><ul>", release.news().since());
    release.news().lines().forEach(line -> to.add("<li>%s</li>", line));
    to.add("</ul></div>");
  }

  private void kit(Release.KitPart kit, Markup to, Markup contents) {
    String anchor = frame.anchor();
    Markup marks = new Markup();
    to.add("<div class=\"kit\" id=\"%s\"><h2>%s</h2>", anchor, kit.name());
    to.add("<p class=\"quiet\">%s</p>", kit.purpose());
    contents.add("<li><a href=\"#%s\">%s</a></li>", anchor, kit.name());
    for (Release.SectionPart section : kit.sections()) {
      if (!section.effects().isEmpty()) {
        section(kit, section, to, marks, contents);
      }
    }
    to.add("</div>");
    frame.bookmark(kit.name(), anchor, marks);
  }

  private void section(
      Release.KitPart kit, Release.SectionPart section, Markup to, Markup marks, Markup contents) {
    String anchor = frame.anchor();
    String named = String.format(Locale.ROOT, "%d %s", section.number(), section.name());
    contents.add("<li class=\"inner\"><a href=\"#%s\">%s</a></li>", anchor, named);
    to.add("<div class=\"section\"><div class=\"section-head\"><h3 id=\"%s\">", anchor);
    to.add("<span class=\"number\">%s</span> %s</h3>", section.number(), section.name());
    to.add("<p class=\"rule\">%s%s</p></div>", section.rule().sentence(), against(kit, section));
    marks.add("<bookmark name=\"%s\" href=\"#%s\">", named, anchor);
    for (Release.EffectPart effect : section.effects()) {
      String at = frame.anchor();
      marks.add("<bookmark name=\"%s\" href=\"#%s\"></bookmark>", effect.name(), at);
      effect(effect, at, to);
    }
    marks.add("</bookmark>");
    to.add("</div>");
  }

  private static String against(Release.KitPart kit, Release.SectionPart section) {
    StringBuilder out = new StringBuilder();
    for (Against other : section.against()) {
      kit.sections().stream()
          .filter(s -> s.number() == other.section())
          .forEach(
              s ->
                  out.append(
                      other.asks()
                          ? " It asks before it is worn with %s.".formatted(s.name())
                          : " It is not worn with %s.".formatted(s.name())));
    }
    return out.toString();
  }

  private static void effect(Release.EffectPart part, String anchor, Markup to) {
    to.add("<div class=\"effect\" id=\"%s\">", anchor);
    if (part.after().length > 0) {
      to.add("<div class=\"pictures\">");
      to.picture(part.before(), part.name() + ", before", WIDE, HIGH);
      to.picture(part.after(), part.name() + ", after", WIDE, HIGH);
      to.add("</div>");
    }
    to.add("<div class=\"words\"><h4>%s</h4>", part.name());
    to.add("<div class=\"note\">").paragraphs(part.effect().note()).add("</div>");
    List<String> facts = facts(part.effect());
    if (!facts.isEmpty()) {
      to.add("<ul class=\"facts\">");
      facts.forEach(f -> to.add("<li>%s</li>", f));
      to.add("</ul>");
    }
    to.add("</div><div class=\"ends\"></div></div>");
  }

  /** What of it starts hidden, at which opacity it goes on, what can be turned. */
  static List<String> facts(Effect effect) {
    List<String> out = new ArrayList<>();
    if (effect.start() < 1) {
      out.add(String.format(Locale.ROOT, "Goes on at %d %%.", Math.round(effect.start() * 100)));
    }
    for (Veil veil : effect.veils()) {
      if (veil.mask().cover() == Cover.BRUSH_ON) {
        String where = veil.meantFor().isEmpty() ? "" : ", made for " + veil.meantFor();
        out.add("“%s” is brushed on%s.".formatted(veil.name(), where));
      }
    }
    for (Dial dial : effect.dials()) {
      effect.veil(dial.veil()).ifPresent(veil -> out.add(dial(dial, veil)));
    }
    return out;
  }

  private static String dial(Dial dial, Veil veil) {
    NumberSetting setting = dial.setting(veil);
    String gap = setting.unit().isEmpty() || setting.unit().equals("°") ? "" : "\u00a0";
    return "Dial “%s”: %s to %s%s."
        .formatted(dial.label(), plain(dial.min()), plain(dial.max()), gap + setting.unit());
  }

  private static String plain(double value) {
    return value == Math.rint(value)
        ? String.valueOf((long) value).replace('-', '−')
        : String.format(Locale.ROOT, "%.2f", value).replaceAll("0+$", "").replace('-', '−');
  }
}

package org.nineveils.app.regions;

import java.util.List;
import java.util.Locale;
import org.nineveils.proof.measure.PhotoFacts;
import org.nineveils.proof.measure.SkinDepth;

/** What a photo is, in words for its page: pairs of a name and what is said. */
final class Facts {
  /** Distance in a*, b* below which a cast is not worth a word. */
  private static final double FAINT = 1.5;

  private Facts() {}

  static List<List<String>> words(PhotoFacts facts) {
    return List.of(
        List.of("Skin", skin(facts)),
        List.of("Lightness", "L* %.0f in the median".formatted(facts.lightness())),
        List.of("Near black", percent(facts.nearBlack())),
        List.of("Near white", percent(facts.nearWhite())),
        List.of("Neutral tones", cast(facts)));
  }

  private static String skin(PhotoFacts facts) {
    if (facts.skin() == null) {
      return "none is marked";
    }
    return facts
        .depth()
        .map(
            d ->
                "%s (ITA %.0f°)"
                    .formatted(d.word(), SkinDepth.angle(facts.skin()))
                    .replace("-", "−"))
        .orElse("not judged: colour cast");
  }

  private static String percent(double share) {
    return String.format(
        Locale.ROOT, share < 0.0995 && share > 0 ? "%.1f %%" : "%.0f %%", share * 100);
  }

  private static String cast(PhotoFacts facts) {
    if (facts.neutral() == null) {
      return "hardly any";
    }
    double a = facts.neutral().a();
    double b = facts.neutral().b();
    if (Math.hypot(a, b) < FAINT) {
      return "without a cast";
    }
    String towards =
        Math.abs(b) >= Math.abs(a) ? (b > 0 ? "yellow" : "blue") : (a > 0 ? "pink" : "green");
    return String.format(Locale.ROOT, "%.0f towards %s", Math.hypot(a, b), towards);
  }
}

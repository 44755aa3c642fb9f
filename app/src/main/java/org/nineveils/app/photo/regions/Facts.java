package org.nineveils.app.photo.regions;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.nineveils.proof.measure.PhotoFacts;
import org.nineveils.proof.measure.SkinDepth;

/** What a photo is, in words for its page: pairs of a name and what is said. */
public final class Facts {
  /** Distance in a*, b* below which a cast is not worth a word. */
  private static final double FAINT = 1.5;

  private Facts() {}

  static List<List<String>> words(PhotoFacts facts) {
    return List.of(
        List.of("Skin", skin(facts)),
        List.of(
            "Lightness", String.format(Locale.ROOT, "L* %.0f in the median", facts.lightness())),
        List.of("Near black", percent(facts.nearBlack())),
        List.of("Near white", percent(facts.nearWhite())),
        List.of("Neutral tones", cast(facts)),
        List.of("Contrast", number(facts, "contrast", "L* from dark to light")),
        List.of("Greens", number(facts, "greens-chroma", "C* in the median")),
        List.of("Noise", number(facts, "noise-full", "codes at full size")));
  }

  private static String number(PhotoFacts facts, String id, String unit) {
    Double value = facts.values().get(id);
    return value == null ? "hardly any" : String.format(Locale.ROOT, "%.1f %s", value, unit);
  }

  /** The facts that matter most, in one line for lists. */
  public static String line(PhotoFacts facts) {
    List<String> parts = new ArrayList<>();
    if (facts.skin() != null) {
      parts.add(facts.depth().map(d -> d.word() + " skin").orElse("skin under a cast"));
    } else if (facts.fur()) {
      parts.add("fur");
    }
    parts.add(String.format(Locale.ROOT, "L* %.0f", facts.lightness()));
    String cast = cast(facts);
    if (cast.contains("towards")) {
      parts.add(cast);
    }
    return String.join(" · ", parts);
  }

  private static String skin(PhotoFacts facts) {
    if (facts.skin() == null) {
      return "none is marked";
    }
    return facts
        .depth()
        .map(
            d ->
                String.format(
                        Locale.ROOT, "%s (ITA %.0f°)", d.word(), SkinDepth.angle(facts.skin()))
                    .replace("-", "−"))
        .orElse("not judged: colour cast");
  }

  private static String percent(double share) {
    if (share > 0 && share < 0.0005) {
      return "less than 0.1 %";
    }
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

package org.nineveils.release.since;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.document.EffectDifferences;
import org.nineveils.release.Release;
import org.nineveils.veil.Effect;

/** Compares a release with the one before, effect by effect and veil by veil. */
public final class Since {
  /** Differences that are told one by one; more are counted. */
  private static final int TOLD = 4;

  private Since() {}

  /**
   * All that differs. Effects are the same where kit and name are, also where the kit got another
   * name; of those that are left, one with equal veils in the same kit was renamed.
   *
   * @return in the order of the present release, what is gone last; empty where nothing differs
   */
  public static List<Change> between(Release old, Release now) {
    Map<String, Release.KitPart> kits = RenamedKits.of(old, now);
    List<Change> out = new ArrayList<>(whole(old, now, kits));
    for (SameEffects.Match match : SameEffects.of(old, now, kits)) {
      if (match.was() == null) {
        out.add(change(Change.Sort.NEW, match.own(), List.of(), null, match.own().part()));
      } else if (match.own() == null) {
        out.add(change(Change.Sort.GONE, match.was(), List.of(), match.was().part(), null));
      } else {
        compare(match.was(), match.own()).ifPresent(out::add);
      }
    }
    return out;
  }

  /**
   * Under which path each effect of one release is in another: what was renamed or moved is found
   * as {@link #between} finds it.
   *
   * @return by path in the old one; what is gone is missing
   */
  public static Map<String, String> paths(Release old, Release now) {
    Map<String, String> out = new LinkedHashMap<>();
    for (SameEffects.Match match : SameEffects.of(old, now, RenamedKits.of(old, now))) {
      if (match.was() != null && match.own() != null) {
        out.put(match.was().part().key(), match.own().part().key());
      }
    }
    return out;
  }

  private static Change change(
      Change.Sort sort,
      SameEffects.Placed where,
      List<String> words,
      Release.EffectPart old,
      Release.EffectPart now) {
    return new Change(sort, where.where(), where.part().name(), words, old, now);
  }

  /** What concerns no effect: words, licence, maker, rules of sections. */
  private static List<Change> whole(Release old, Release now, Map<String, Release.KitPart> kits) {
    List<String> words = new ArrayList<>();
    if (!old.name().equals(now.name())) {
      words.add("it was called “%s”".formatted(old.name()));
    }
    if (!old.notes().equals(now.notes())) {
      words.add("new words for the photographer");
    }
    if (!old.licence().equals(now.licence())) {
      words.add("the licence reads “%s”".formatted(now.licence()));
    }
    if (old.mayHandOut() != now.mayHandOut()) {
      words.add(
          now.mayHandOut()
              ? "looks of your own with its effects may be handed out now"
              : "looks of your own with its effects may no longer be handed out");
    }
    if (!old.makersMark().equals(now.makersMark())) {
      words.add(
          "the maker's mark was “%s” and is “%s”".formatted(old.makersMark(), now.makersMark()));
    }
    kits.forEach((name, was) -> words.add("kit “%s” was called “%s”".formatted(name, was.name())));
    words.addAll(rules(old, now));
    return words.isEmpty()
        ? List.of()
        : List.of(new Change(Change.Sort.SAME_LOOK, "", "The collection", words, null, null));
  }

  private static List<String> rules(Release old, Release now) {
    Map<String, Release.SectionPart> before = new LinkedHashMap<>();
    old.kits().forEach(k -> k.sections().forEach(s -> before.put(k.name() + "\n" + s.name(), s)));
    List<String> words = new ArrayList<>();
    for (Release.KitPart kit : now.kits()) {
      for (Release.SectionPart section : kit.sections()) {
        Release.SectionPart was = before.get(kit.name() + "\n" + section.name());
        if (was != null && was.rule() != section.rule()) {
          words.add(
              "section %s, %s: %s instead of %s"
                  .formatted(
                      kit.name(), section.name(), section.rule().label(), was.rule().label()));
        }
        if (was != null && !was.against().equals(section.against())) {
          words.add(
              "section %s, %s: other sections that it does not go with"
                  .formatted(kit.name(), section.name()));
        }
        if (was != null && !was.limits().equals(section.limits())) {
          words.add("section %s, %s: other limits".formatted(kit.name(), section.name()));
        }
      }
    }
    return words;
  }

  private static Optional<Change> compare(SameEffects.Placed was, SameEffects.Placed own) {
    Effect old = was.part().effect();
    Effect now = own.part().effect();
    List<String> words = new ArrayList<>();
    if (!was.part().name().equals(own.part().name())) {
      words.add("it was called “%s”".formatted(was.part().name()));
    }
    if (!was.section().name().equals(own.section().name())) {
      words.add("moved from %s to %s".formatted(was.section().name(), own.section().name()));
    }
    List<EffectDifferences.Difference> differences = EffectDifferences.between(old, now);
    differences.stream()
        .limit(TOLD)
        .flatMap(d -> phrases(d, old, now).stream())
        .forEach(words::add);
    if (differences.size() > TOLD) {
      words.add(String.format(Locale.ROOT, "and %d things more", differences.size() - TOLD));
    }
    if (old.edition() != now.edition()) {
      words.add(String.format(Locale.ROOT, "made with edition %d of the engine", now.edition()));
    }
    if (words.isEmpty()) {
      return Optional.empty();
    }
    Change.Sort sort = SameEffects.lookAlike(old, now) ? Change.Sort.SAME_LOOK : Change.Sort.LOOK;
    return Optional.of(change(sort, own, words, was.part(), own.part()));
  }

  private static List<String> phrases(EffectDifferences.Difference d, Effect old, Effect now) {
    return d.field().equals("dials") ? DialWords.of(old, now) : List.of(phrase(d));
  }

  private static String phrase(EffectDifferences.Difference d) {
    boolean whole = d.veil().isEmpty();
    return switch (d.field()) {
      case "note" -> "new words in its note";
      case "order" -> "its veils hang in another order";
      case "veil" ->
          d.ours().equals("not here")
              ? "without “%s”".formatted(d.name())
              : "with “%s”".formatted(d.name());
      default -> {
        String label = whole ? lower(d.label()) : "“%s”, %s".formatted(d.name(), lower(d.label()));
        yield "%s %s instead of %s".formatted(label, d.ours(), d.theirs());
      }
    };
  }

  private static String lower(String label) {
    return label.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + label.substring(1);
  }
}

package org.nineveils.release.since;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.document.EffectDifferences;
import org.nineveils.kit.Names;
import org.nineveils.release.Release;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** Compares a release with the one before, effect by effect and veil by veil. */
public final class Since {
  /** Differences that are told one by one; more are counted. */
  private static final int TOLD = 4;

  private Since() {}

  /** An effect where it hangs. */
  private record Placed(
      String kit, Release.KitPart in, Release.SectionPart section, Release.EffectPart part) {
    String where() {
      return "%s, %s".formatted(in.name(), section.name());
    }

    String key() {
      return kit + "\n" + Names.key(part.name());
    }
  }

  /**
   * All that differs. Effects are the same where kit and name are, also where the kit got another
   * name; of those that are left, one with equal veils in the same kit was renamed.
   *
   * @return in the order of the present release, what is gone last; empty where nothing differs
   */
  public static List<Change> between(Release old, Release now) {
    Map<String, Release.KitPart> kits = RenamedKits.of(old, now);
    Map<String, Placed> before = placed(old, Map.of());
    Map<String, Placed> after = placed(now, kits);
    Map<String, Placed> left = new LinkedHashMap<>(before);
    left.keySet().removeAll(after.keySet());
    List<Change> out = new ArrayList<>(whole(old, now, kits));
    after.forEach(
        (key, own) -> {
          Placed was = before.get(key);
          if (was == null) {
            was = renamed(own, left.values()).orElse(null);
          }
          if (was == null) {
            out.add(change(Change.Sort.NEW, own, List.of(), null, own.part()));
          } else {
            left.remove(was.key());
            compare(was, own).ifPresent(out::add);
          }
        });
    left.values()
        .forEach(gone -> out.add(change(Change.Sort.GONE, gone, List.of(), gone.part(), null)));
    return out;
  }

  private static Map<String, Placed> placed(Release release, Map<String, Release.KitPart> renamed) {
    Map<String, Placed> out = new LinkedHashMap<>();
    for (Release.KitPart kit : release.kits()) {
      String called = Names.key(renamed.getOrDefault(kit.name(), kit).name());
      for (Release.SectionPart section : kit.sections()) {
        for (Release.EffectPart part : section.effects()) {
          Placed placed = new Placed(called, kit, section, part);
          out.put(placed.key(), placed);
        }
      }
    }
    return out;
  }

  private static Optional<Placed> renamed(Placed own, Collection<Placed> left) {
    return left.stream()
        .filter(p -> p.kit().equals(own.kit()))
        .filter(p -> looksAlike(p.part().effect(), own.part().effect()))
        .findFirst();
  }

  private static Change change(
      Change.Sort sort,
      Placed where,
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
      }
    }
    return words;
  }

  private static Optional<Change> compare(Placed was, Placed own) {
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
    differences.stream().limit(TOLD).map(Since::phrase).forEach(words::add);
    if (differences.size() > TOLD) {
      words.add("and %d things more".formatted(differences.size() - TOLD));
    }
    if (old.edition() != now.edition()) {
      words.add("made with edition %d of the engine".formatted(now.edition()));
    }
    if (words.isEmpty()) {
      return Optional.empty();
    }
    Change.Sort sort = looksAlike(old, now) ? Change.Sort.SAME_LOOK : Change.Sort.LOOK;
    return Optional.of(change(sort, own, words, was.part(), own.part()));
  }

  private static String phrase(EffectDifferences.Difference d) {
    boolean whole = d.veil().isEmpty();
    return switch (d.field()) {
      case "note" -> "new words in its note";
      case "dials" -> "other dials";
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

  /** Whether two effects make the same picture of every photo that nobody painted on. */
  private static boolean looksAlike(Effect one, Effect two) {
    return one.edition() == two.edition()
        && one.start() == two.start()
        && bare(one).equals(bare(two));
  }

  /** Veils without what does not show. */
  private static List<Veil> bare(Effect effect) {
    return effect.veils().stream()
        .map(
            v ->
                new Veil(
                    v.id(),
                    "veil",
                    v.kind(),
                    v.settings(),
                    v.blend(),
                    v.opacity(),
                    v.lifted(),
                    v.mask(),
                    ""))
        .toList();
  }
}

package org.nineveils.kit;

import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.nineveils.name.Names;

/**
 * What is looked for in kits, as it was typed. Phrases such as “no note”, “has Soft”, “#evening”,
 * “in Larch” ask for facts; what is left are words of names, notes, veils and tags.
 *
 * @param words all of them, in any order; each the beginning of a word
 * @param tags keys of tags that an effect must have
 * @param kinds ids of kinds of veil that it must have
 * @param settings keys of settings that it must use
 * @param kits keys of kits of which it must be in one; none for all
 * @param is what it must be
 */
public record Query(
    List<String> words,
    Set<String> tags,
    Set<String> kinds,
    Set<String> settings,
    Set<String> kits,
    Set<Is> is) {
  private static final Pattern SPACES = Pattern.compile(" ");

  /** Longest text that is looked at, in characters. */
  public static final int LONGEST = 200;

  public Query {
    words = List.copyOf(words);
    tags = Set.copyOf(tags);
    kinds = Set.copyOf(kinds);
    settings = Set.copyOf(settings);
    kits = Set.copyOf(kits);
    is = Set.copyOf(is);
  }

  /** What an effect can be, with the phrases that ask for it; the first is written on screens. */
  @SuppressWarnings("ImmutableEnumChecker") // the functions have no state
  public enum Is {
    FAVOURITE(c -> c.favourite(), "favourite", "favourites"),
    UNFINISHED(c -> c.ready().state() != Readiness.State.READY, "unfinished"),
    READY(c -> c.ready().state() == Readiness.State.READY, "ready"),
    PLANNED(c -> c.ready().state() == Readiness.State.PLANNED, "planned", "to be built"),
    IN_WORK(c -> c.ready().state() == Readiness.State.IN_WORK, "in work"),
    NOT_PROOFED(c -> c.isBuilt() && !c.isProofed(), "not proofed", "never proofed"),
    OVER(c -> c.proofed().over() > 0, "over a limit", "over limits"),
    NEAR(c -> c.proofed().near() > 0, "near a limit"),
    NO_NOTE(c -> c.isBuilt() && !c.facts().noted(), "no note", "without note"),
    BY_BRUSH(c -> c.facts().brushed(), "by brush", "brush-on", "brushed on"),
    UNPLACED(c -> c.facts().unplaced(), "no meant for", "without meant for"),
    OLDER(c -> c.older(), "older edition"),
    DIALS(c -> c.facts().dials() > 0, "with dials"),
    MARKED(c -> c.mark() != null, "marked"),
    AGAIN(c -> c.mark() == Mark.AGAIN, Mark.AGAIN.word()),
    UNSURE(c -> c.mark() == Mark.UNSURE, Mark.UNSURE.word()),
    SETTLED(c -> c.mark() == Mark.SETTLED, Mark.SETTLED.word()),
    LATER(c -> c.mark() == Mark.LATER, Mark.LATER.word()),
    VARIANT(c -> c.variant(), "variant", "variants"),
    FOLLOWS(c -> c.follows(), "follows");

    private final Function<Candidate, Boolean> holds;
    private final List<String> phrases;

    Is(Function<Candidate, Boolean> holds, String... phrases) {
      this.holds = holds;
      this.phrases = List.of(phrases);
    }

    /** As screens write it. */
    public String phrase() {
      return phrases.get(0);
    }
  }

  /**
   * An effect that may be what is looked for.
   *
   * @param kit key of its kit's name
   * @param tags keys of its tags
   * @param mark that the maker put on it; null for none
   * @param older whether it was made with an older edition of the engine
   */
  public record Candidate(
      String kit,
      Set<String> tags,
      EffectFacts facts,
      Readiness.Proofed proofed,
      Mark mark,
      boolean favourite,
      boolean variant,
      boolean follows,
      boolean older) {
    Readiness ready() {
      return Readiness.of(facts, proofed);
    }

    boolean isBuilt() {
      return facts.veils() > 0;
    }

    boolean isProofed() {
      return proofed.of() > 0 && proofed.made() >= proofed.of();
    }
  }

  /**
   * Names that phrases may hold.
   *
   * @param tags that are in use
   * @param kits names of kits
   * @param kinds names of kinds on screens, by id
   * @param settings names of settings on screens
   */
  public record Known(
      List<String> tags, List<String> kits, Map<String, String> kinds, List<String> settings) {}

  /** Reads what was typed; it always means something. */
  public static Query parse(String typed, Known known) {
    String text = " " + Names.key(Names.cut(typed, LONGEST)).replaceAll("[\\s,;]+", " ") + " ";
    Set<String> tags = new HashSet<>();
    Set<String> kinds = new HashSet<>();
    Set<String> settings = new HashSet<>();
    Set<String> kits = new HashSet<>();
    EnumSet<Is> is = EnumSet.noneOf(Is.class);
    Map<String, Runnable> phrases = new LinkedHashMap<>();
    for (Is one : Is.values()) {
      one.phrases.forEach(phrase -> phrases.put(phrase, () -> is.add(one)));
    }
    known.settings().forEach(s -> has(s, phrases, () -> settings.add(Names.key(s))));
    known.kinds().forEach((id, label) -> has(label, phrases, () -> kinds.add(id)));
    known.tags().forEach(t -> phrases.put("#" + Names.key(t), () -> tags.add(Names.key(t))));
    known.kits().forEach(k -> phrases.put("in " + Names.key(k), () -> kits.add(Names.key(k))));
    Map<String, Runnable> longestFirst =
        new TreeMap<>(Comparator.comparingInt((String p) -> -p.length()).thenComparing(p -> p));
    longestFirst.putAll(phrases);
    for (Map.Entry<String, Runnable> phrase : longestFirst.entrySet()) {
      Optional<String> rest = without(text, phrase.getKey());
      if (rest.isPresent()) {
        phrase.getValue().run();
        text = rest.get();
      }
    }
    List<String> words =
        SPACES
            .splitAsStream(text.replaceAll("[“”\"]", " "))
            .map(word -> word.replaceFirst("^#", ""))
            .filter(word -> !word.isEmpty())
            .toList();
    return new Query(words, tags, kinds, settings, kits, is);
  }

  private static void has(String label, Map<String, Runnable> phrases, Runnable add) {
    phrases.put("has " + Names.key(label), add);
  }

  private static Optional<String> without(String text, String phrase) {
    String whole = " " + phrase + " ";
    return text.contains(whole) ? Optional.of(text.replace(whole, " ")) : Optional.empty();
  }

  /** Whether facts are asked for, which only effects have. */
  public boolean asksForFacts() {
    return !(tags.isEmpty()
        && kinds.isEmpty()
        && settings.isEmpty()
        && kits.isEmpty()
        && is.isEmpty());
  }

  /** Whether an effect is as the facts ask; the words are not looked at. */
  public boolean takes(Candidate c) {
    return c.tags().containsAll(tags)
        && c.facts().kinds().containsAll(kinds)
        && c.facts().settings().containsAll(settings)
        && (kits.isEmpty() || kits.contains(c.kit()))
        && is.stream().allMatch(one -> one.holds.apply(c));
  }
}

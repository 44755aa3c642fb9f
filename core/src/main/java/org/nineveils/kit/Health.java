package org.nineveils.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/** What keeps a kit from being finished, as far as it is seen without looking at a photo. */
public final class Health {
  private Health() {}

  /** What can be wrong with effects, in the order of the screens. */
  @SuppressWarnings("ImmutableEnumChecker") // the predicates have no state
  public enum Ill {
    OVER("over a limit somewhere", i -> i.proofed().over() > 0),
    NOTE("without a note", i -> i.facts().veils() > 0 && !i.facts().noted()),
    UNPLACED("brushed on, nobody says where", i -> i.facts().unplaced()),
    PROMISE("with a note that promises a dial", i -> i.facts().broken()),
    PROOF("not proofed on every photo", i -> i.facts().veils() > 0 && !i.isProofed()),
    TWICE("called like an effect of another kit", Item::twice),
    OLDER("made with an older edition", i -> i.facts().isOlder()),
    PLANNED("planned, not built", i -> i.facts().veils() == 0);

    private final String words;
    private final Predicate<Item> holds;

    Ill(String words, Predicate<Item> holds) {
      this.words = words;
      this.holds = holds;
    }

    /** As screens say it, after a number. */
    public String words() {
      return words;
    }
  }

  /**
   * An effect of the kit.
   *
   * @param twice whether an effect of another kit has the same name
   */
  public record Item(long id, EffectFacts facts, Readiness.Proofed proofed, boolean twice) {
    boolean isProofed() {
      return proofed.of() == 0 || proofed.made() >= proofed.of();
    }
  }

  /**
   * Something that is wrong.
   *
   * @param effects ids of those that it is wrong with, in their order; at least one
   */
  public record Finding(Ill ill, List<Long> effects) {}

  /** All that is wrong with the effects of a kit. */
  public static List<Finding> of(List<Item> items) {
    List<Finding> out = new ArrayList<>();
    for (Ill ill : Ill.values()) {
      List<Long> these = items.stream().filter(ill.holds).map(Item::id).toList();
      if (!these.isEmpty()) {
        out.add(new Finding(ill, these));
      }
    }
    return out;
  }
}

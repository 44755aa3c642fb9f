package org.nineveils.release.since;

import java.util.List;
import org.nineveils.release.Release;

/**
 * What became of an effect, or of the collection as a whole.
 *
 * @param sort what it means for those who wear it
 * @param where kit and section; empty for the collection as a whole
 * @param name of the effect, or “The collection”
 * @param words what differs, a phrase each
 * @param old as it was; null for a new one and for the whole
 * @param now as it is; null for one that is gone and for the whole
 */
public record Change(
    Sort sort,
    String where,
    String name,
    List<String> words,
    Release.EffectPart old,
    Release.EffectPart now) {

  /** What one with its two effects holds in memory, at a guess. */
  public static final long BYTES = 60_000;

  /** What a change means, from the least to the most. */
  public enum Sort {
    /** It looks as before: other words, another place, another name. */
    SAME_LOOK("same look"),
    /** It was not there before. */
    NEW("new"),
    /** Whoever wears it gets another picture. */
    LOOK("another look"),
    /** It is no longer there. */
    GONE("taken out");

    private final String word;

    Sort(String word) {
      this.word = word;
    }

    /** As screens say it. */
    public String word() {
      return word;
    }
  }

  public Change {
    words = List.copyOf(words);
  }

  /** A sentence for photographers. */
  public String sentence() {
    String what = String.join("; ", words);
    return switch (sort) {
      case NEW -> "“%s” is new, in %s.".formatted(name, where);
      case GONE -> "“%s” of %s was taken out.".formatted(name, where);
      case LOOK -> "“%s” looks different: %s.".formatted(name, what);
      case SAME_LOOK ->
          where.isEmpty() ? "%s: %s.".formatted(name, what) : "“%s”: %s.".formatted(name, what);
    };
  }
}

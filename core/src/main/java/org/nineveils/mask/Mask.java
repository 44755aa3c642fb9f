package org.nineveils.mask;

import java.util.List;

/**
 * Where a veil covers before anything is painted: the part that belongs to the effect.
 *
 * @param cover everywhere, brush on, or by rules
 * @param rules 1…{@link #MAX_RULES} where the cover is by rules, none otherwise
 */
public record Mask(Cover cover, List<Rule> rules) {
  /** Most rules of a mask. */
  public static final int MAX_RULES = 6;

  public static final Mask EVERYWHERE = new Mask(Cover.EVERYWHERE, List.of());
  public static final Mask BRUSH_ON = new Mask(Cover.BRUSH_ON, List.of());

  public Mask {
    rules = List.copyOf(rules);
    boolean ruled = cover == Cover.BY_RULE;
    if (ruled && (rules.isEmpty() || rules.size() > MAX_RULES)) {
      throw new IllegalArgumentException(
          "A mask by rule has 1 to %d rules, but this one has %d."
              .formatted(MAX_RULES, rules.size()));
    }
    if (!ruled && !rules.isEmpty()) {
      throw new IllegalArgumentException("Only a mask by rule has rules.");
    }
  }
}

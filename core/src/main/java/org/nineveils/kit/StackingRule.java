package org.nineveils.kit;

import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;

/**
 * What may be worn together from one section, and what a section does to others. Common practice,
 * no published source: a black-and-white never sits over a colour tone, crisp and soft are
 * opposites, one vignette or frame at a time.
 */
public enum StackingRule {
  /** A second effect of the section takes the first one's place. */
  ONE_AT_A_TIME(
      "one-at-a-time",
      "one at a time",
      "Only one of its effects is worn: a second one takes the place of the first."),
  /** Any number of effects of the section, one over the other. */
  STACK_FREELY(
      "stack-freely", "stack freely", "Any number of its effects are worn, one over the other."),
  /** Crisp over soft, or a second vignette or frame, is put on only after asking. */
  OPPOSITES_ASK(
      "opposites-ask",
      "opposites ask",
      "Any number are worn; before crisp goes over soft, or a second vignette or frame goes on, it is asked."),
  /** One at a time, and taken off where a black-and-white goes on. */
  COLOUR_LOOK(
      "colour-look",
      "gives way to black and white",
      "Only one of its effects is worn, and it comes off where a black-and-white goes on."),
  /** One at a time; takes colour looks off. */
  BLACK_AND_WHITE(
      "black-and-white",
      "lifts colour looks",
      "Only one of its effects is worn, and it takes every colour look off.");

  private final String id;
  private final String label;
  private final String sentence;

  StackingRule(String id, String label, String sentence) {
    this.id = id;
    this.label = label;
    this.sentence = sentence;
  }

  /** What happens, in a sentence. */
  public String sentence() {
    return sentence;
  }

  /** Whether a second effect of the section takes the first one's place. */
  public boolean isOneAtATime() {
    return this == ONE_AT_A_TIME || this == COLOUR_LOOK || this == BLACK_AND_WHITE;
  }

  /** Name in files. */
  public String id() {
    return id;
  }

  /** Name on screens. */
  public String label() {
    return label;
  }

  /**
   * The rule of that name.
   *
   * @throws Refusal with a sentence if there is none
   */
  public static StackingRule ofId(String id) {
    return Ids.find(values(), StackingRule::id, id)
        .orElseThrow(() -> new Refusal("There is no stacking rule “%s”.".formatted(id)));
  }
}

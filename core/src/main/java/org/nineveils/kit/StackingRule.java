package org.nineveils.kit;

/** What may be worn together from one section. */
public enum StackingRule {
  /** A second effect of the section takes the first one's place. */
  ONE_AT_A_TIME("one-at-a-time", "one at a time"),
  /** Any number of effects of the section, one over the other. */
  STACK_FREELY("stack-freely", "stack freely");

  private final String id;
  private final String label;

  StackingRule(String id, String label) {
    this.id = id;
    this.label = label;
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
   * @throws IllegalArgumentException with a sentence if there is none
   */
  public static StackingRule ofId(String id) {
    for (StackingRule rule : values()) {
      if (rule.id.equals(id)) {
        return rule;
      }
    }
    throw new IllegalArgumentException("There is no stacking rule “%s”.".formatted(id));
  }
}

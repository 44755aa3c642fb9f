package org.nineveils.mask;

import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;
import org.nineveils.setting.SettingValues;

/**
 * One rule of a mask.
 *
 * @param kind its sort
 * @param values its settings
 * @param join how it is put together with the rules before it; the first is taken away from
 *     everything by minus, and what it selects is taken by the others
 * @param inverted selects what it would leave out
 */
public record Rule(RuleKind kind, SettingValues values, Join join, boolean inverted) {

  /** How a rule is put together with what the rules before it select. */
  public enum Join {
    /** Where both select: a · b. */
    AND("and"),
    /** Where either selects: 1 − (1 − a)(1 − b). */
    OR("or"),
    /** Where this one does not: a · (1 − b); with an amount, a guard. */
    MINUS("minus");

    private final String id;

    Join(String id) {
      this.id = id;
    }

    /** Name in files and on screens. */
    public String id() {
      return id;
    }

    /**
     * The join of that name.
     *
     * @throws Refusal with a sentence if there is none
     */
    public static Join ofId(String id) {
      return Ids.find(values(), Join::id, id)
          .orElseThrow(
              () -> new Refusal("Rules are joined by and, or, minus; not by “%s”.".formatted(id)));
    }

    /** Puts the weight of a rule together with what was selected before it. */
    float put(float before, float weight) {
      return switch (this) {
        case AND -> before * weight;
        case OR -> before + weight - before * weight;
        case MINUS -> before * (1 - weight);
      };
    }
  }
}

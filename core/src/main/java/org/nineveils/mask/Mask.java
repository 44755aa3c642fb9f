package org.nineveils.mask;

import java.util.List;
import org.nineveils.refusal.Refusal;
import org.nineveils.setting.NumberSetting;

/**
 * Where a veil covers before anything is painted: the part that belongs to the effect; and what is
 * done to the edge of the mask in the end.
 *
 * @param cover everywhere, brush on, or by rules
 * @param rules 1…{@link #MAX_RULES} where the cover is by rules, none otherwise
 * @param grow how far the finished mask is moved outwards, or inwards where negative: thousandths
 *     of the long side
 * @param soften how far its edge is then blurred, as a standard deviation: thousandths of the long
 *     side
 */
public record Mask(Cover cover, List<Rule> rules, double grow, double soften) {
  /** Most rules of a mask. */
  public static final int MAX_RULES = 6;

  public static final NumberSetting GROW =
      new NumberSetting("grow", "Grow", "Edge", "‰", -30, 30, 0.5, 0.0);
  public static final NumberSetting SOFTEN =
      new NumberSetting("soften", "Soften", "Edge", "‰", 0, 50, 0.5, 0.0);

  /** What can be done to the edge, in this order. */
  public static final List<NumberSetting> EDGES = List.of(GROW, SOFTEN);

  public static final Mask EVERYWHERE = new Mask(Cover.EVERYWHERE, List.of());
  public static final Mask BRUSH_ON = new Mask(Cover.BRUSH_ON, List.of());

  public Mask {
    rules = List.copyOf(rules);
    boolean ruled = cover == Cover.BY_RULE;
    if (ruled && (rules.isEmpty() || rules.size() > MAX_RULES)) {
      throw new Refusal(
          "A mask by rule has 1 to %d rules, but this one has %d."
              .formatted(MAX_RULES, rules.size()));
    }
    if (!ruled && !rules.isEmpty()) {
      throw new Refusal("Only a mask by rule has rules.");
    }
    GROW.parse(grow);
    SOFTEN.parse(soften);
  }

  /** A mask whose edge is left as it is. */
  public Mask(Cover cover, List<Rule> rules) {
    this(cover, rules, 0, 0);
  }

  /** Whether nothing is covered before it is painted. */
  public boolean startsHidden() {
    return cover == Cover.BRUSH_ON;
  }
}

package org.nineveils.mask;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.refusal.Refusal;
import org.nineveils.setting.NumberSetting;

/**
 * Where a veil covers before anything is painted: the part that belongs to the effect; and what is
 * done to the edge of the mask in the end.
 *
 * @param cover everywhere, brush on, by rules, or as another veil
 * @param rules 1…{@link #MAX_RULES} where the cover is by rules: what they select is covered; up to
 *     as many where it is brushed on: paint counts by what they select; none otherwise
 * @param grow how far the finished mask is moved outwards, or inwards where negative: thousandths
 *     of the long side
 * @param soften how far its edge is then blurred, as a standard deviation: thousandths of the long
 *     side
 * @param as id of the veil that it follows, which follows none itself; empty where it follows none
 */
public record Mask(Cover cover, List<Rule> rules, double grow, double soften, String as) {
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
    if (cover == Cover.BY_RULE && rules.isEmpty()) {
      throw new Refusal(
          String.format(
              Locale.ROOT, "A mask by rule has 1 to %d rules, but this one has 0.", MAX_RULES));
    }
    if (rules.size() > MAX_RULES) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "A mask has at most %d rules, but this one has %d.",
              MAX_RULES,
              rules.size()));
    }
    if (cover != Cover.BY_RULE && cover != Cover.BRUSH_ON && !rules.isEmpty()) {
      throw new Refusal("Only a mask by rule or by brush has rules.");
    }
    GROW.parse(grow);
    SOFTEN.parse(soften);
    if (follows(cover) == as.isEmpty()) {
      throw new Refusal("A mask names another veil where it covers as that veil, and only there.");
    }
    if (follows(cover) && (grow != 0 || soften != 0)) {
      throw new Refusal("A mask that follows another veil has the edge of that veil.");
    }
  }

  /** A mask of its own. */
  public Mask(Cover cover, List<Rule> rules, double grow, double soften) {
    this(cover, rules, grow, soften, "");
  }

  /** The mask of a veil that covers where another one does. */
  public static Mask as(String veil) {
    return new Mask(Cover.AS_VEIL, List.of(), 0, 0, veil);
  }

  /** The same mask where veils have other ids; it is itself where it follows none of them. */
  public Mask following(Map<String, String> ids) {
    return follows() && ids.containsKey(as) ? as(ids.get(as)) : this;
  }

  private static boolean follows(Cover cover) {
    return cover == Cover.AS_VEIL;
  }

  /** Whether it is where another veil covers. */
  public boolean follows() {
    return follows(cover);
  }

  /** A mask whose edge is left as it is. */
  public Mask(Cover cover, List<Rule> rules) {
    this(cover, rules, 0, 0);
  }

  /**
   * The same mask kept off something by one more rule.
   *
   * @param rule joined by minus
   * @throws Refusal with a sentence if it has as many rules as a mask can have, or follows another
   *     veil
   */
  public Mask keptOff(Rule rule) {
    if (follows()) {
      throw new Refusal("A mask that follows another veil is kept off where that one is.");
    }
    List<Rule> more = new ArrayList<>(rules);
    more.add(rule);
    return new Mask(startsHidden() ? cover : Cover.BY_RULE, more, grow, soften);
  }

  /** Whether nothing is covered before it is painted. */
  public boolean startsHidden() {
    return cover == Cover.BRUSH_ON;
  }
}

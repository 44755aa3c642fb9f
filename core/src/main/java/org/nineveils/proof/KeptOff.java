package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.mask.Guard;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKind;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Effect;

/** Effects whose veils are kept off skin. */
public final class KeptOff {
  private KeptOff() {}

  /**
   * The effect with some veils kept off skin; one that was before is kept off by the new amount. A
   * veil that follows another is kept off where that one is.
   *
   * @param veils ids
   * @param amount 0…100 %; 0 changes nothing
   * @throws org.nineveils.refusal.Refusal with a sentence if a mask has no room for one more rule
   */
  public static Effect skin(Effect effect, Collection<String> veils, double amount) {
    Set<String> wanted = new HashSet<>();
    for (String id : veils) {
      effect.veil(id).ifPresent(v -> wanted.add(v.mask().follows() ? v.mask().as() : id));
    }
    if (amount == 0) {
      return effect;
    }
    return effect.withVeils(
        effect.veils().stream()
            .map(v -> wanted.contains(v.id()) ? v.withMask(off(v.mask(), amount)) : v)
            .toList());
  }

  /** The rule as it is, by another amount: what somebody set of it, such as its hue, stays. */
  private static Rule byAmount(Rule rule, double amount) {
    Map<String, Object> values = new LinkedHashMap<>(rule.values().format());
    values.put(RuleKind.AMOUNT.key(), amount);
    SettingValues set = SettingValues.parse(rule.kind().settings(), values);
    return new Rule(rule.kind(), set, rule.join(), rule.inverted());
  }

  private static Mask off(Mask mask, double amount) {
    Rule guard = Guard.skin(amount);
    List<Rule> others = new ArrayList<>(mask.rules());
    for (int i = 0; i < others.size(); i++) {
      Rule rule = others.get(i);
      boolean keeps = rule.join() == Rule.Join.MINUS && !rule.inverted();
      if (keeps && rule.kind().id().equals(guard.kind().id())) {
        others.set(i, byAmount(rule, amount));
        return new Mask(mask.cover(), others, mask.grow(), mask.soften());
      }
    }
    return mask.keptOff(guard);
  }
}

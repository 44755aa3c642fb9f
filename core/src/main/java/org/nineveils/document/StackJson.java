package org.nineveils.document;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

/** What a photo wears at one moment, effects and paint and all, as JSON that needs nothing else. */
public final class StackJson {
  private StackJson() {}

  /**
   * The state as JSON takes it.
   *
   * @param fitting with its paint
   * @param effects effect by key, or null where there is none
   */
  public static Map<String, Object> format(Fitting fitting, Function<String, Effect> effects) {
    Map<String, Object> all = new LinkedHashMap<>();
    for (Worn w : fitting.worn()) {
      Effect effect = effects.apply(w.effect());
      if (effect != null) {
        all.put(w.effect(), EffectJson.format(effect));
      }
    }
    return Json.object("fitting", FittingJson.format(fitting), "effects", all);
  }

  /**
   * Reads a state.
   *
   * @throws DocumentException naming the place and the fault
   */
  public static Stack parse(Fields fields) {
    fields.only("fitting", "effects");
    Fields effects = fields.object("effects");
    Map<String, Effect> byKey = new LinkedHashMap<>();
    for (String key : effects.names()) {
      byKey.put(key, EffectJson.parse(effects.object(key)));
    }
    return FittingJson.parse(fields.object("fitting")).stack(byKey::get);
  }
}

package org.nineveils.app.order.rack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.WornRules;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Worn;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** What a photographer would wear who puts effects on one after the other, by core's own rules. */
@Component
class TryOut {
  private final WornRules rules;
  private final EffectService effects;

  TryOut(WornRules rules, EffectService effects) {
    this.rules = rules;
    this.effects = effects;
  }

  /**
   * Puts effects on, one after the other; where it is asked, both stay on.
   *
   * @param instead the rule of a section as it may become
   * @return a step each: what happens in a sentence, what is asked, and what is on then by name
   */
  List<Object> steps(long kitId, List<Long> ids, WornRules.Rule instead) {
    Map<String, Offer> offers = new LinkedHashMap<>();
    rules.offers(kitId, instead).forEach(offer -> offers.put(offer.key(), offer));
    Fitting fitting = Fitting.plain();
    List<Object> out = new ArrayList<>();
    for (long id : ids) {
      Offer offer = offers.get(String.valueOf(id));
      if (offer == null) {
        continue; // it was removed meanwhile
      }
      Fitting.Change first = fitting.wear(offer, offers, this::effect, Fitting.Answer.NONE);
      String asked = first.asks().isEmpty() ? "" : first.said();
      Fitting.Change change =
          asked.isEmpty() ? first : fitting.wear(offer, offers, this::effect, Fitting.Answer.BOTH);
      fitting = change.fitting();
      List<String> on =
          fitting.worn().stream().map(Worn::effect).map(offers::get).map(Offer::name).toList();
      out.add(List.of(change.said(), asked, on));
    }
    return out;
  }

  private Effect effect(String key) {
    return effects.effect(effects.get(Long.parseLong(key)));
  }
}

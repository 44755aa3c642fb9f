package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.document.EffectJson;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Worn;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** A fitting as its page takes it up, whole: what is worn, with the effects that are worn. */
@Component
public class FittingStates {
  private final FittingService fittings;
  private final Pins pins;
  private final LaidBy laidBy;
  private final WornElsewhere elsewhere;
  private final Journal journal;

  FittingStates(
      FittingService fittings, Pins pins, LaidBy laidBy, WornElsewhere elsewhere, Journal journal) {
    this.fittings = fittings;
    this.pins = pins;
    this.laidBy = laidBy;
    this.elsewhere = elsewhere;
    this.journal = journal;
  }

  /** As it is stored, with what its page shows beside it. */
  public Map<String, Object> of(FittingRow row) {
    return of(row, fittings.wardrobe(row));
  }

  Map<String, Object> of(FittingRow row, Wardrobe wardrobe) {
    Fitting fitting = fittings.unpainted(row);
    return Json.object(
        "id", row.id(),
        "photo", row.photoId(),
        "rev", row.rev(),
        "fitting", FittingJson.format(fitting),
        "painted", fittings.counts(row.id(), fitting),
        "pieces", worn(fitting, wardrobe),
        "together", wardrobe.others(),
        "pins", pins.of(row.id()),
        "pinsBeside", pins.beside(row),
        "laidBy", laidBy.keys(row.id()),
        "elsewhere", elsewhere.of(row),
        "undo", Undo.of(journal, FittingService.scope(row.id())));
  }

  /** Only what is worn is read. */
  private static List<Object> worn(Fitting fitting, Wardrobe wardrobe) {
    Map<String, Offer> offers = wardrobe.offers();
    Function<String, Effect> effects = wardrobe.effects();
    List<Object> out = new ArrayList<>();
    for (Worn w : fitting.worn()) {
      Effect effect = effects.apply(w.effect());
      if (effect != null) {
        Offer offer = offers.get(w.effect());
        out.add(
            Json.object(
                "key", w.effect(),
                "name", offer.name(),
                "section", offer.section(),
                "effect", EffectJson.format(effect)));
      }
    }
    return out;
  }
}

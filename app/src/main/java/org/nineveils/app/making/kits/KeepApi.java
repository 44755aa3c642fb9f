package org.nineveils.app.making.kits;

import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.wear.fitting.FittingService;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Combination;
import org.nineveils.kit.Replaced;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Keeps what a photo wears as a new effect of a section. */
@RestController
class KeepApi {
  private final FittingService fittings;
  private final EffectService effects;
  private final KitService kits;

  KeepApi(FittingService fittings, EffectService effects, KitService kits) {
    this.fittings = fittings;
    this.effects = effects;
    this.kits = kits;
  }

  /**
   * Takes name, section, note and picks: effect, veils (ids), asWorn. Where “over” names an effect,
   * that one is replaced: “ask” in the answer tells first what changes, and “sure” does it.
   */
  @PostMapping("/api/kits/keep/{id}")
  Map<String, Object> keep(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    Combination made = fittings.combination(id, f);
    if (f.has("over")) {
      return over(f.whole("over"), made, f.flag("sure", false));
    }
    Rows.Section section = kits.section(f.whole("section"));
    long effect = effects.add(section.id(), f.text("name"), made.effect());
    return Json.object(
        "effect", effect,
        "kit", section.kitId(),
        "number", section.number(),
        "said",
            String.format(
                Locale.ROOT,
                "“%s” is in section %d, %s.",
                effects.get(effect).name(),
                section.number(),
                section.name()),
        "details", made.said());
  }

  private Map<String, Object> over(long id, Combination made, boolean sure) {
    Rows.Effect row = effects.get(id);
    if (!sure) {
      String told = Replaced.told(row.name(), effects.effect(row), made.effect());
      return Json.object("ask", told);
    }
    effects.save(id, Save.on(row.rev(), "replace by what was worn"), made.effect());
    String said = "“%s” is what was worn now.".formatted(row.name());
    return Json.object(
        "effect", id, "kit", row.kitId(), "replaced", true, "said", said, "details", made.said());
  }
}

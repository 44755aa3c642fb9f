package org.nineveils.app.kits;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.nineveils.app.fitting.FittingRow;
import org.nineveils.app.fitting.FittingService;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Combination;
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

  /** Takes name, section, note and picks: effect, veils (ids), asWorn. */
  @PostMapping("/api/fittings/{id}/keep")
  Map<String, Object> keep(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    List<Combination.Pick> picks = f.objects("picks", KeepApi::pick);
    FittingRow row = fittings.get(id);
    Combination made =
        Combination.of(
            fittings.fitting(row), picks, fittings.wardrobe(row).effects(), f.text("note", ""));
    Rows.Section section = kits.section(f.whole("section"));
    long effect = effects.add(section.id(), f.text("name"), made.effect());
    return Json.object(
        "effect", effect,
        "said",
            "“%s” is in section %d, %s."
                .formatted(effects.get(effect).name(), section.number(), section.name()),
        "details", made.said());
  }

  private static Combination.Pick pick(Fields f) {
    Set<String> veils = f.list("veils").stream().map(String::valueOf).collect(Collectors.toSet());
    return new Combination.Pick(f.text("effect"), veils, f.flag("asWorn", true));
  }
}

package org.nineveils.app.making.kits;

import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.veil.Effect;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Changes to kits, sections and the filing of effects. “go” in an answer is where to look next. */
@RestController
@RequestMapping("/api")
class KitsApi {
  private static final Map<String, Object> DONE = Map.of();

  private final KitService kits;
  private final EffectService effects;
  private final Journal journal;

  KitsApi(KitService kits, EffectService effects, Journal journal) {
    this.kits = kits;
    this.effects = effects;
    this.journal = journal;
  }

  @PostMapping("/kits")
  Map<String, Object> addKit(@RequestBody String body) {
    Fields f = request(body);
    return Map.of("go", "/kits/" + kits.addKit(f.text("name"), f.text("purpose", "")));
  }

  @PutMapping("/kits/{id}")
  Map<String, Object> changeKit(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = request(body);
    kits.changeKit(id, f.text("name"), f.text("purpose", ""));
    return DONE;
  }

  @DeleteMapping("/kits/{id}")
  Map<String, Object> removeKit(@PathVariable("id") long id) {
    String name = kits.kit(id).name();
    kits.removeKit(id);
    return removed(name, "kits", "/api/kits/undo", "/kits");
  }

  @PostMapping("/kits/undo")
  Map<String, Object> undoKits(Steps steps) {
    return Undo.run(journal, "kits", steps);
  }

  @PostMapping("/kits/{id}/undo")
  Map<String, Object> undo(@PathVariable("id") long id, Steps steps) {
    return Undo.run(journal, KitService.scope(id), steps);
  }

  @PostMapping("/sections/{id}/effects")
  Map<String, Object> addEffect(@PathVariable("id") long id, @RequestBody String body) {
    long effect = effects.add(id, request(body).text("name"), Effect.empty());
    return Map.of("go", "/bench/" + effect);
  }

  @PostMapping("/effects/{id}/variant")
  Map<String, Object> variant(@PathVariable("id") long id) {
    return Map.of("go", "/bench/" + effects.addVariant(id));
  }

  @PutMapping("/effects/{id}/filing")
  Map<String, Object> file(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = request(body);
    long section =
        f.has("section") ? Long.parseLong(f.text("section")) : effects.get(id).sectionId();
    effects.file(id, section, f.text("name"));
    return DONE;
  }

  @PutMapping("/effects/{id}/favourite")
  Map<String, Object> favour(@PathVariable("id") long id, @RequestParam("is") boolean is) {
    effects.favour(id, is);
    return DONE;
  }

  @DeleteMapping("/effects/{id}")
  Map<String, Object> remove(@PathVariable("id") long id) {
    Rows.Effect effect = effects.get(id);
    effects.remove(id);
    return removed(effect.name(), effect.kitId());
  }

  private Map<String, Object> removed(String name, long kitId) {
    return removed(
        name, KitService.scope(kitId), String.format(Locale.ROOT, "/api/kits/%d/undo", kitId), "");
  }

  /** What was removed, and the edit that its “Undo” takes back. */
  private Map<String, Object> removed(String name, String scope, String address, String go) {
    Map<String, Object> out =
        Json.object(
            "said", "“%s” was removed.".formatted(name),
            "undone", Undo.named(journal, scope, address));
    if (!go.isEmpty()) {
      out.put("go", go);
    }
    return out;
  }

  private static Fields request(String body) {
    return Json.read(body, "The request");
  }
}

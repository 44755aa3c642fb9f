package org.nineveils.app.kits;

import java.util.Map;
import org.nineveils.app.data.Journal;
import org.nineveils.app.web.Undo;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.StackingRule;
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
    return Map.of("go", "/kits", "said", removed(name));
  }

  @PostMapping("/kits/undo")
  Map<String, Object> undoKits(@RequestParam("redo") boolean redo) {
    return Undo.run(journal, "kits", redo);
  }

  @PostMapping("/kits/{id}/undo")
  Map<String, Object> undo(@PathVariable("id") long id, @RequestParam("redo") boolean redo) {
    return Undo.run(journal, KitService.scope(id), redo);
  }

  @PostMapping("/kits/{id}/sections")
  Map<String, Object> addSection(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = request(body);
    kits.addSection(id, f.text("name"), StackingRule.ofId(f.text("rule")));
    return DONE;
  }

  @PutMapping("/sections/{id}")
  Map<String, Object> changeSection(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = request(body);
    kits.changeSection(id, f.text("name"), StackingRule.ofId(f.text("rule")));
    return DONE;
  }

  @PostMapping("/sections/{id}/move")
  Map<String, Object> moveSection(@PathVariable("id") long id, @RequestParam("by") int by) {
    kits.moveSection(id, by);
    return DONE;
  }

  @DeleteMapping("/sections/{id}")
  Map<String, Object> removeSection(@PathVariable("id") long id) {
    String name = kits.section(id).name();
    kits.removeSection(id);
    return Map.of("said", removed(name));
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

  @PostMapping("/effects/{id}/move")
  Map<String, Object> move(@PathVariable("id") long id, @RequestParam("by") int by) {
    effects.move(id, by);
    return DONE;
  }

  @PutMapping("/effects/{id}/favourite")
  Map<String, Object> favour(@PathVariable("id") long id, @RequestParam("is") boolean is) {
    effects.favour(id, is);
    return DONE;
  }

  @DeleteMapping("/effects/{id}")
  Map<String, Object> remove(@PathVariable("id") long id) {
    String name = effects.get(id).name();
    effects.remove(id);
    return Map.of("said", removed(name));
  }

  private static String removed(String name) {
    return "“%s” was removed; Undo brings it back.".formatted(name);
  }

  private static Fields request(String body) {
    return Json.read(body, "The request");
  }
}

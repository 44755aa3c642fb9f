package org.nineveils.app.making.swatches;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.making.swatches.SwatchStore.Swatch;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Swatches of the maker; every answer holds all of them as they are now. */
@RestController
@RequestMapping("/api/swatches")
class SwatchesApi {
  private final Swatches swatches;
  private final Journal journal;

  SwatchesApi(Swatches swatches, Journal journal) {
    this.swatches = swatches;
    this.journal = journal;
  }

  @GetMapping
  Map<String, Object> all() {
    return Json.object(
        "swatches", swatches.all().stream().map(SwatchesApi::shown).toList(),
        "undo", Undo.of(journal, Swatches.SCOPE));
  }

  private static Map<String, Object> shown(Swatch s) {
    return Json.object(
        "id", s.id(),
        "mark", s.mark(),
        "name", s.name(),
        "veil", Json.read(s.doc(), "The swatch").raw());
  }

  /** Keeps a veil under the maker's mark: name, veil, and whether its rules are kept with it. */
  @PostMapping
  Map<String, Object> add(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    swatches.add(
        f.text("name"), EffectJson.parseVeil(f.object("veil")), f.flag("withRules", false));
    return all();
  }

  @PutMapping("/{id}")
  Map<String, Object> rename(@PathVariable("id") long id, @RequestBody String body) {
    swatches.rename(id, Json.read(body, "The request").text("name"));
    return all();
  }

  @DeleteMapping("/{id}")
  Map<String, Object> remove(@PathVariable("id") long id) {
    swatches.remove(id);
    return all();
  }

  @PostMapping("/undo")
  Map<String, Object> undo(Steps steps) {
    Map<String, Object> out = new LinkedHashMap<>(Undo.run(journal, Swatches.SCOPE, steps));
    out.putAll(all());
    return out;
  }
}

package org.nineveils.app.wear.looks;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.wear.fitting.FittingService;
import org.nineveils.app.wear.fitting.FittingStates;
import org.nineveils.document.Fields;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/** Looks of her own: kept, named, discarded, worn. */
@RestController
class OwnLooksApi {
  private static final String UNDO = "/api/desk/undo";

  private final OwnLooks looks;
  private final OwnLookPictures pictures;
  private final FittingService fittings;
  private final FittingStates states;
  private final Journal journal;

  OwnLooksApi(
      OwnLooks looks,
      OwnLookPictures pictures,
      FittingService fittings,
      FittingStates states,
      Journal journal) {
    this.looks = looks;
    this.pictures = pictures;
    this.fittings = fittings;
    this.states = states;
    this.journal = journal;
  }

  /** All looks as fittings of a wardrobe wear them. */
  @GetMapping("/api/looks")
  Map<String, Object> all(@RequestParam("wardrobe") String wardrobe) {
    List<Map<String, Object>> all =
        looks.all().stream()
            .map(
                look ->
                    Json.object(
                        "id", look.id(),
                        "name", look.name(),
                        "effects", String.join(", ", looks.names(look)),
                        "missing", looks.missing(look),
                        "fitting", FittingJson.format(looks.within(look, wardrobe))))
            .toList();
    return Json.object("looks", all);
  }

  /** Keeps what a fitting wears under a name. */
  @PostMapping("/api/looks")
  Map<String, Object> keep(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    return said(looks.keep(f.whole("fitting"), f.text("name")));
  }

  @PutMapping("/api/looks/{id}")
  Map<String, Object> rename(@PathVariable("id") long id, @RequestBody String body) {
    looks.rename(id, Json.read(body, "The request").text("name"));
    return said("The look has its new name.");
  }

  @DeleteMapping("/api/looks/{id}")
  Map<String, Object> remove(@PathVariable("id") long id) {
    String name = looks.get(id).name();
    looks.remove(id);
    return said("“%s” was discarded; photos that wear it go on wearing it.".formatted(name));
  }

  /** Lets a photo wear a look, and gives its fitting. */
  @PostMapping("/api/fittings/{id}/look")
  Map<String, Object> wear(@PathVariable("id") long fitting, @RequestBody String body) {
    OwnLook look = looks.get(Json.read(body, "The request").whole("look"));
    looks.wear(look, fitting);
    Map<String, Object> out = new LinkedHashMap<>(states.of(fittings.get(fitting)));
    out.put("said", "The photo wears “%s”.".formatted(look.name()));
    return out;
  }

  /** A photo of hers in the look, small. */
  @GetMapping("/api/looks/{id}/small")
  ResponseEntity<byte[]> small(
      @PathVariable("id") long id, @RequestParam("photo") long photo, WebRequest request) {
    return Answers.jpeg(pictures.small(looks.get(id), photo), request);
  }

  private Map<String, Object> said(String sentence) {
    return Json.object("said", sentence, "undone", Undo.named(journal, OwnLooks.SCOPE, UNDO));
  }
}

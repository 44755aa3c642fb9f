package org.nineveils.app.collections;

import java.util.List;
import java.util.Map;
import org.nineveils.app.kits.EffectService;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.render.Answers;
import org.nineveils.app.undo.Journal;
import org.nineveils.app.undo.Save;
import org.nineveils.app.undo.Steps;
import org.nineveils.app.undo.Undo;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;

/** The pages of collections, packing and downloads. */
@Controller
class CollectionsController {
  private final CollectionService collections;
  private final PackingService packing;
  private final KitService kits;
  private final EffectService effects;
  private final Journal journal;

  CollectionsController(
      CollectionService collections,
      PackingService packing,
      KitService kits,
      EffectService effects,
      Journal journal) {
    this.collections = collections;
    this.packing = packing;
    this.kits = kits;
    this.effects = effects;
    this.journal = journal;
  }

  /** A kit that a collection may hold. */
  record Choice(org.nineveils.app.kits.Rows.Kit kit, boolean chosen, int effects, int older) {}

  /** A collection with its kits' names. */
  record Card(CollectionRows.Collection collection, List<String> kits, int packed) {}

  @GetMapping("/collections")
  String all(Model model) {
    model.addAttribute("cards", collections.all().stream().map(this::card).toList());
    model.addAttribute("left", packing.packedOfNone());
    model.addAttribute("undo", Undo.of(journal, "collections"));
    return "collections/collections";
  }

  @GetMapping("/collections/{id}")
  String one(@PathVariable("id") long id, Model model) {
    model.addAttribute("collection", collections.get(id));
    model.addAttribute("makersMark", collections.makersMark());
    model.addAttribute("packed", packing.packed(id));
    model.addAttribute("undo", Undo.of(journal, CollectionService.scope(id)));
    List<Long> chosen = collections.kitsOf(id);
    Map<Long, Integer> counts =
        kits.counts().stream()
            .collect(
                java.util.stream.Collectors.toMap(
                    org.nineveils.app.kits.Rows.Counts::kitId,
                    org.nineveils.app.kits.Rows.Counts::effects));
    model.addAttribute("data", Json.write(state(id)));
    model.addAttribute(
        "choices",
        kits.kits().stream()
            .map(
                kit ->
                    new Choice(
                        kit,
                        chosen.contains(kit.id()),
                        counts.getOrDefault(kit.id(), 0),
                        effects.older(kit.id()).size()))
            .toList());
    return "collections/collection";
  }

  @PostMapping("/api/collections")
  @ResponseBody
  Map<String, Object> add(@RequestBody String body) {
    long id = collections.add(Json.read(body, "The request").text("name"));
    return Map.of("go", "/collections/" + id);
  }

  @PutMapping("/api/collections/{id}")
  @ResponseBody
  Map<String, Object> change(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The collection");
    Fields c = f.object("collection");
    collections.change(
        id,
        Save.of(f),
        c.text("name"),
        c.text("version"),
        c.text("licence"),
        c.text("notes"),
        c.wholes("kits"));
    return state(id);
  }

  /** The collection as stored: what the form takes up whole. */
  @GetMapping("/api/collections/{id}")
  @ResponseBody
  Map<String, Object> state(@PathVariable("id") long id) {
    CollectionRows.Collection c = collections.get(id);
    return Json.object(
        "rev", c.rev(),
        "collection",
            Json.object(
                "name", c.name(),
                "version", c.version(),
                "licence", c.licence(),
                "notes", c.notes(),
                "kits", collections.kitsOf(id)),
        "undo", Undo.of(journal, CollectionService.scope(id)));
  }

  @DeleteMapping("/api/collections/{id}")
  @ResponseBody
  Map<String, Object> remove(@PathVariable("id") long id) {
    String name = collections.get(id).name();
    collections.remove(id);
    return Map.of(
        "go",
        "/collections",
        "said",
        "“%s” was removed; what was packed of it stays.".formatted(name),
        "undone",
        Undo.named(journal, "collections", "/api/collections/undo"));
  }

  @PutMapping("/api/makers-mark")
  @ResponseBody
  Map<String, Object> makersMark(@RequestBody String body) {
    collections.setMakersMark(Json.read(body, "The request").text("mark"));
    return Map.of();
  }

  @PostMapping("/api/collections/undo")
  @ResponseBody
  Map<String, Object> undoAll(Steps steps) {
    return Undo.run(journal, "collections", steps);
  }

  @PostMapping("/api/collections/{id}/undo")
  @ResponseBody
  Map<String, Object> undo(@PathVariable("id") long id, Steps steps) {
    return Undo.run(journal, CollectionService.scope(id), steps);
  }

  @PostMapping("/api/collections/{id}/pack")
  @ResponseBody
  Map<String, Object> pack(@PathVariable("id") long id) {
    return Map.of("job", packing.pack(id).shown());
  }

  @GetMapping("/collections/packed/{id}")
  ResponseEntity<byte[]> download(@PathVariable("id") long id) {
    CollectionRows.Packed packed = packing.packedOne(id);
    return Answers.download(
        packing.file(packed), MediaType.parseMediaType("application/zip"), packed.fileName());
  }

  private Card card(CollectionRows.Collection c) {
    List<String> names =
        collections.kitsOf(c.id()).stream().map(kit -> kits.kit(kit).name()).toList();
    return new Card(c, names, packing.packed(c.id()).size());
  }
}

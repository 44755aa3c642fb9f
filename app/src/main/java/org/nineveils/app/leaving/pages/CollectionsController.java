package org.nineveils.app.leaving.pages;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.leaving.collections.CollectionDoc;
import org.nineveils.app.leaving.collections.CollectionRows;
import org.nineveils.app.leaving.collections.CollectionService;
import org.nineveils.app.leaving.collections.PackedReleases;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.maker.KeyFile;
import org.nineveils.app.making.maker.MakersMark;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.guide.GuideFormat;
import org.nineveils.release.table.TableFormat;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;

/** The pages of collections and what is edited on them. */
@Controller
class CollectionsController {
  private final CollectionService collections;
  private final PackedReleases packed;
  private final KitService kits;
  private final EffectService effects;
  private final PhotoService photos;
  private final MakersMark mark;
  private final KeyFile key;
  private final Journal journal;

  CollectionsController(
      CollectionService collections,
      PackedReleases packed,
      KitService kits,
      EffectService effects,
      PhotoService photos,
      MakersMark mark,
      KeyFile key,
      Journal journal) {
    this.collections = collections;
    this.packed = packed;
    this.kits = kits;
    this.effects = effects;
    this.photos = photos;
    this.mark = mark;
    this.key = key;
    this.journal = journal;
  }

  /** A collection with its kits' names. */
  record Card(CollectionRows.Collection collection, List<String> kits, int packed) {}

  @GetMapping("/collections")
  String all(Model model) {
    model.addAttribute("cards", collections.all().stream().map(this::card).toList());
    model.addAttribute("left", packed.ofNone());
    model.addAttribute("undo", Undo.of(journal, "collections"));
    return "leaving/collections/collections";
  }

  private Card card(CollectionRows.Collection c) {
    List<String> names =
        collections.kitsOf(c.id()).stream().map(kit -> kits.kit(kit).name()).toList();
    return new Card(c, names, packed.of(c.id()).size());
  }

  @GetMapping("/collections/{id}")
  String one(@PathVariable("id") long id, Model model) {
    model.addAttribute("collection", collections.get(id));
    model.addAttribute("makersMark", mark.get());
    model.addAttribute("key", key.find().map(k -> k.key().named()).orElse(""));
    model.addAttribute("packed", packed.of(id));
    model.addAttribute("undo", Undo.of(journal, CollectionService.scope(id)));
    model.addAttribute("data", Json.write(state(id)));
    model.addAttribute("tree", Json.write(Map.of("kits", tree())));
    model.addAttribute("formats", TableFormat.values());
    model.addAttribute("guides", GuideFormat.values());
    model.addAttribute("photos", photos.all(Side.WALL));
    return "leaving/collections/collection";
  }

  /** All kits with sections and effects, to be ticked. */
  private List<Object> tree() {
    List<Object> out = new ArrayList<>();
    for (Rows.Kit kit : kits.kits()) {
      Set<Long> older = effects.older(kit.id());
      List<Object> sections = new ArrayList<>();
      for (Rows.FilledSection filled : kits.filled(kit.id())) {
        List<Object> in = new ArrayList<>();
        filled
            .effects()
            .forEach(
                e ->
                    in.add(
                        Json.object(
                            "id", e.id(), "name", e.name(), "older", older.contains(e.id()))));
        sections.add(
            Json.object(
                "id", filled.section().id(), "name", filled.section().name(), "effects", in));
      }
      out.add(Json.object("id", kit.id(), "name", kit.name(), "sections", sections));
    }
    return out;
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
    collections.change(id, Save.of(f), CollectionDoc.parse(f.object("collection")));
    return state(id);
  }

  /** The collection as stored: what the form takes up whole. */
  @GetMapping("/api/collections/{id}")
  @ResponseBody
  Map<String, Object> state(@PathVariable("id") long id) {
    return Json.object(
        "rev", collections.get(id).rev(),
        "collection", collections.doc(id).format(),
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
}

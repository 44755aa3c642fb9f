package org.nineveils.app.making.bench;

import java.util.List;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Tags;
import org.nineveils.app.photo.regions.WallFacts;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.photo.render.Exports;
import org.nineveils.app.photo.render.Result;
import org.nineveils.blend.BlendMode;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.KindsJson;
import org.nineveils.document.StackJson;
import org.nineveils.file.PictureFormat;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Promises;
import org.nineveils.kit.Worn;
import org.nineveils.mask.Mask;
import org.nineveils.name.NamePattern;
import org.nineveils.name.Names;
import org.nineveils.region.Regions;
import org.nineveils.veil.Effect;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.context.request.WebRequest;

/** The page of the bench and the finished picture as a file. */
@Controller
class BenchController {
  private final EffectService effects;
  private final KitService kits;
  private final PhotoService photos;
  private final BenchService bench;
  private final Exports exports;
  private final Tags tags;
  private final WallFacts wallFacts;
  private final Journal journal;

  BenchController(
      EffectService effects,
      KitService kits,
      PhotoService photos,
      BenchService bench,
      Exports exports,
      Tags tags,
      WallFacts wallFacts,
      Journal journal) {
    this.effects = effects;
    this.kits = kits;
    this.photos = photos;
    this.bench = bench;
    this.exports = exports;
    this.tags = tags;
    this.wallFacts = wallFacts;
    this.journal = journal;
  }

  /** The bench takes up the effect that was worked on last. */
  @GetMapping("/bench")
  String latest() {
    return effects.latest().map(e -> "redirect:/bench/" + e.id()).orElse("redirect:/kits");
  }

  @GetMapping("/bench/{id}")
  String bench(
      @PathVariable("id") long id,
      @RequestParam(name = "photo", required = false) Long photoId,
      Model model) {
    Rows.Effect row = effects.get(id);
    var wall = photos.all(Side.WALL);
    model.addAttribute("effect", row);
    model.addAttribute("kit", kits.kit(row.kitId()));
    model.addAttribute("section", kits.section(row.sectionId()));
    model.addAttribute("older", effects.effect(row).isOlder());
    model.addAttribute("follows", effects.followed(id));
    model.addAttribute("sections", kits.sections(row.kitId()));
    model.addAttribute("formats", PictureFormat.values());
    model.addAttribute("photoList", Photo.list(wall));
    if (wall.isEmpty()) {
      return "making/bench/no-photo";
    }
    Photo photo = photoId == null ? bench.showing(id) : photos.get(photoId);
    model.addAttribute("data", Json.write(state(row, photo)));
    return "making/bench/bench";
  }

  /** Starts making the whole picture through the effect, at full size. */
  @PostMapping("/api/effects/{id}/export")
  @ResponseBody
  Map<String, Object> export(
      @PathVariable("id") long id,
      @RequestParam("photo") long photoId,
      @RequestParam("format") String format,
      @RequestBody(required = false) String body) {
    Rows.Effect row = effects.get(id);
    Fields wishes = Json.read(body == null ? "{}" : body, "The request");
    Result as = Result.asked(format, wishes);
    Effect effect = effects.effect(row);
    Worn worn = new Worn("effect", effect.start(), false, Map.of(), bench.paint(id, photoId));
    Map<String, Object> state = StackJson.format(new Fitting(List.of(worn)), key -> effect);
    return Map.of(
        "job",
        exports
            .start(
                photos.get(photoId),
                state,
                as,
                row.name(),
                NamePattern.ofText(wishes.text("names", "")))
            .shown());
  }

  /** The effect on a photo, small; without a photo named, on the one that shows it best. */
  @GetMapping("/effects/{id}/small")
  ResponseEntity<byte[]> small(
      @PathVariable("id") long id,
      @RequestParam(name = "photo", required = false) Long photo,
      WebRequest request) {
    return Answers.jpeg(bench.small(id, photo), request);
  }

  private Map<String, Object> state(Rows.Effect row, Photo photo) {
    Effect effect = effects.effect(row);
    Undo undo = Undo.of(journal, EffectService.scope(row.id()));
    return Json.object(
        "id", row.id(),
        "name", row.name(),
        "rev", row.rev(),
        "effect", EffectJson.format(effect),
        "photo", photo.id(),
        "painted", bench.painted(row.id(), photo.id()),
        "limits", Json.object("kit", row.kitId(), "section", row.sectionId()),
        "tagGroups", tags.groups(),
        "promises", Promises.broken(effect),
        "undo", undo,
        "others", others(row),
        "maxVeils", Effect.MAX_VEILS,
        "kinds", KindsJson.format(),
        "masks", masks(),
        "blends", blends());
  }

  /** Effects of the same kit that this one can be built over. */
  private java.util.List<Object> others(Rows.Effect row) {
    return kits.filled(row.kitId()).stream()
        .flatMap(section -> section.effects().stream())
        .filter(other -> other.id() != row.id())
        .<Object>map(other -> java.util.List.of(other.id(), other.name()))
        .toList();
  }

  private Map<String, Object> masks() {
    return Json.object(
        "regions", regions(),
        "kinds", KindsJson.rules(),
        "most", Mask.MAX_RULES,
        "guards", KindsJson.guards(),
        "edges", KindsJson.maskEdges());
  }

  /** What a brush-on veil may be meant for: ready-made regions, and the maker's own on the wall. */
  private java.util.List<String> regions() {
    Map<String, String> byKey = new java.util.LinkedHashMap<>();
    Regions.all().forEach(name -> byKey.put(Names.key(name), name));
    wallFacts
        .held(photos.all(Side.WALL))
        .values()
        .forEach(held -> held.names().forEach(name -> byKey.putIfAbsent(Names.key(name), name)));
    return java.util.List.copyOf(byKey.values());
  }

  private static java.util.List<Map<String, Object>> blends() {
    return java.util.Arrays.stream(BlendMode.values())
        .map(mode -> Json.object("id", mode.id(), "label", mode.label()))
        .toList();
  }
}

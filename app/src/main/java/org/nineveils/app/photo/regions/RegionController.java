package org.nineveils.app.photo.regions;

import java.util.List;
import java.util.Map;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.base.web.Uploads;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Tags;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.photo.render.StageRenderer;
import org.nineveils.app.photo.render.StageRequest;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.KindsJson;
import org.nineveils.document.PaintJson;
import org.nineveils.document.RegionsJson;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureWriter;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.region.PhotoRegion;
import org.nineveils.region.PhotoRegions;
import org.nineveils.region.Regions;
import org.nineveils.stack.Stack;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** The page of a photo with what it holds. */
@Controller
class RegionController {
  private final RegionService regions;
  private final WallFacts facts;
  private final Tags tags;
  private final PhotoService photos;
  private final StageRenderer stage;
  private final Journal journal;
  private final Uploads uploads;

  RegionController(
      RegionService regions,
      WallFacts facts,
      Tags tags,
      PhotoService photos,
      StageRenderer stage,
      Journal journal,
      Uploads uploads) {
    this.uploads = uploads;
    this.regions = regions;
    this.facts = facts;
    this.tags = tags;
    this.photos = photos;
    this.stage = stage;
    this.journal = journal;
  }

  @GetMapping("/photos/{id}")
  String page(@PathVariable("id") long id, Model model) {
    Photo photo = photos.get(id);
    if (!photo.isOnWall()) {
      throw new NotFound("“%s” is not on the test wall.".formatted(photo.name()));
    }
    Map<String, Object> state = state(id);
    state.putAll(
        Json.object(
            "names", Regions.all(),
            "most", PhotoRegions.MOST,
            "masks",
                Json.object(
                    "kinds", KindsJson.rules(),
                    "most", Mask.MAX_RULES,
                    "guards", KindsJson.guards(),
                    "edges", KindsJson.maskEdges())));
    model.addAttribute("photo", photo);
    model.addAttribute("photoList", Photo.list(photos.all(Side.WALL)));
    model.addAttribute("data", Json.write(state));
    return "photo/regions/photo";
  }

  private Map<String, Object> state(long id) {
    RegionStore.Row row = regions.row(id);
    return Json.object(
        "rev", row.rev(),
        "photo", id,
        "held", RegionsJson.format(RegionService.parsed(row)),
        "painted", regions.counts(id),
        "shares", regions.shares(id),
        "facts", Facts.words(facts.of(photos.get(id))),
        "tags", tags.of(id),
        "tagGroups", tags.groups(),
        "undo", Undo.of(journal, RegionService.scope(id)));
  }

  private Map<String, Object> said(long id, String sentence) {
    Map<String, Object> out = state(id);
    out.put("said", sentence);
    return out;
  }

  @GetMapping("/api/photos/{id}/regions")
  @ResponseBody
  Map<String, Object> get(@PathVariable("id") long id) {
    return state(id);
  }

  @PutMapping("/api/photos/{id}/regions")
  @ResponseBody
  Map<String, Object> save(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The regions");
    regions.save(id, Save.of(f), RegionsJson.parse(f.object("held")));
    return state(id);
  }

  @PostMapping("/api/photos/{id}/regions/paint")
  @ResponseBody
  Map<String, Object> paint(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The stroke");
    regions.addStroke(id, f.text("veil"), PaintJson.parseStroke(f.object("stroke")));
    return state(id);
  }

  @PostMapping("/api/photos/{id}/regions/paint-all")
  @ResponseBody
  Map<String, Object> paintAll(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    regions.paintAll(id, f.text("veil"), f.text("how"));
    return state(id);
  }

  @PostMapping("/api/photos/{id}/regions/undo")
  @ResponseBody
  Map<String, Object> undo(@PathVariable("id") long id, Steps steps) {
    return said(id, journal.step(RegionService.scope(id), steps));
  }

  /** Reads a region from a grey picture, white inside. */
  @PostMapping("/api/photos/{id}/regions/read")
  @ResponseBody
  Map<String, Object> read(
      @PathVariable("id") long id,
      @RequestParam("region") String region,
      @RequestParam("file") MultipartFile file) {
    String name = file.getOriginalFilename() == null ? "The picture" : file.getOriginalFilename();
    uploads.read(file, bytes -> regions.read(id, region, name, bytes));
    return said(id, "The region is what the picture shows.");
  }

  /** A region as a grey picture at the photo's own size. */
  @GetMapping("/photos/{id}/regions/{region}.png")
  ResponseEntity<byte[]> picture(
      @PathVariable("id") long id, @PathVariable("region") String region) {
    Picture plain = photos.full(photos.get(id));
    float[] cover =
        regions.regions(id).covers(regions.paint(id), plain, regions::picture).get(region);
    if (cover == null) {
      throw new NotFound("This region is no longer here.");
    }
    Picture grey = new Picture(plain.width(), plain.height(), cover, cover, cover);
    String name = named(id, region) + ".png";
    byte[] png = PictureWriter.write(grey, PictureFormat.PNG);
    return Answers.download(png, MediaType.IMAGE_PNG, name);
  }

  private String named(long id, String region) {
    return regions.regions(id).all().stream()
        .filter(r -> r.id().equals(region))
        .map(PhotoRegion::name)
        .findFirst()
        .orElse("region");
  }

  /** The plain photo, or where the region that “mask” names lies, for the stage. */
  @PostMapping("/api/photos/{id}/regions/render")
  ResponseEntity<byte[]> render(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    Photo photo = photos.get(id);
    StageRequest request = StageRequest.parse(f);
    if (!f.has("mask")) {
      return Answers.packet(stage.packet(photo, request, Stack.plain()));
    }
    String wanted = f.text("mask");
    PhotoRegions held = RegionsJson.parse(f.object("held"));
    Map<String, Paint> paint = new java.util.LinkedHashMap<>(regions.paint(id));
    if (f.has("stroke")) {
      var stroke = PaintJson.parseStroke(f.object("stroke"));
      paint.merge(f.text("veil"), new Paint(List.of(stroke)), (old, one) -> old.plus(stroke));
    }
    PhotoRegion region =
        held.all().stream()
            .filter(r -> r.id().equals(wanted))
            .findFirst()
            .orElseThrow(() -> new NotFound("This region is no longer here."));
    if (region.left() || !region.picture().isEmpty()) {
      return Answers.packet(
          stage.coverPacket(
              photo, request, p -> held.covers(paint, p, regions::picture).get(wanted)));
    }
    Paint own = paint.getOrDefault(wanted, Paint.NONE);
    return Answers.packet(stage.maskPacket(photo, request, region.mask(), own));
  }
}

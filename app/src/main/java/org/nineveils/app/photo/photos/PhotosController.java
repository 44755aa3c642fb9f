package org.nineveils.app.photo.photos;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.refusal.InputLimits;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** The page of the test wall, and uploads. */
@Controller
class PhotosController {
  private final PhotoService photos;
  private final Readying readying;
  private final Journal journal;
  private final Tags tags;

  PhotosController(PhotoService photos, Readying readying, Journal journal, Tags tags) {
    this.photos = photos;
    this.readying = readying;
    this.journal = journal;
    this.tags = tags;
  }

  @GetMapping("/photos")
  String wall(Model model) {
    List<Photo> wall = photos.all(Side.WALL);
    model.addAttribute("count", wall.size());
    Map<Long, List<String>> tagged = tags.all();
    List<Object> list = new ArrayList<>();
    for (Photo p : wall) {
      List<String> own = tagged.getOrDefault(p.id(), List.of());
      list.add(List.of(p.id(), p.name(), p.width(), p.height(), own));
    }
    model.addAttribute("data", Json.write(Json.object("photos", list, "groups", tags.groups())));
    model.addAttribute("undo", Undo.of(journal, PhotoService.scope(Side.WALL)));
    model.addAttribute("maxMegabytes", InputLimits.PICTURE_BYTES >> 20);
    return "photo/photos/wall";
  }

  @PostMapping("/api/photos/{side}")
  @ResponseBody
  Photo add(@PathVariable("side") String side, @RequestParam("file") MultipartFile file) {
    String name = file.getOriginalFilename() == null ? "photo" : file.getOriginalFilename();
    return photos.add(Side.ofId(side), name, file.getSize(), file::getInputStream);
  }

  /** Gives photos a tag, or takes it off them. */
  @PutMapping("/api/photos/wall/tags")
  @ResponseBody
  Map<String, Object> tag(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    List<Long> ids = f.wholes("photos");
    tags.tag(ids, f.text("tag"), f.flag("on", true));
    Map<String, Object> now = new java.util.LinkedHashMap<>();
    Map<Long, List<String>> all = tags.all();
    ids.forEach(id -> now.put(String.valueOf(id), all.getOrDefault(id, List.of())));
    return Json.object("tags", now, "groups", tags.groups());
  }

  /** Takes several photos off at once. */
  @PostMapping("/api/photos/{side}/take-off")
  @ResponseBody
  Map<String, Object> takeOff(@PathVariable("side") String side, @RequestBody String body) {
    List<Long> ids = Json.read(body, "The request").wholes("photos");
    photos.remove(Side.ofId(side), ids);
    return Map.of(
        "said",
        ids.size() == 1 ? "One photo was taken off." : ids.size() + " photos were taken off.");
  }

  @PutMapping("/api/photos/{id}")
  @ResponseBody
  Map<String, Object> rename(@PathVariable("id") long id, @RequestBody String body) {
    photos.rename(id, Json.read(body, "The request").text("name"));
    return Map.of();
  }

  /** Says that a photo may be looked at next, on a stage of that size. */
  @PostMapping("/api/photos/{id}/ready")
  @ResponseBody
  Map<String, Object> ready(@PathVariable("id") long id, @RequestBody String body) {
    int longSide = Json.read(body, "The request").whole("longSide");
    readying.makeReady(photos.get(id), Math.max(1, longSide));
    return Map.of();
  }

  @DeleteMapping("/api/photos/{id}")
  @ResponseBody
  Map<String, Object> remove(@PathVariable("id") long id) {
    Photo photo = photos.get(id);
    photos.remove(id);
    String side = photo.side();
    return Map.of(
        "said",
        "“%s” was taken off.".formatted(photo.name()),
        "undone",
        Undo.named(
            journal, PhotoService.scope(Side.ofId(side)), "/api/photos/%s/undo".formatted(side)));
  }

  @PostMapping("/api/photos/{side}/undo")
  @ResponseBody
  Map<String, Object> undo(@PathVariable("side") String side, Steps steps) {
    return Undo.run(journal, PhotoService.scope(Side.ofId(side)), steps);
  }
}

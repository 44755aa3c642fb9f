package org.nineveils.app.shop.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.wear.folders.WatchedFolders;
import org.nineveils.document.Json;
import org.nineveils.release.since.ChangesJson;
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

/** Fetching by code, what an update changes, updating and going back. */
@Controller
class UpdateController {
  private final Updates updates;
  private final DeskService desk;
  private final PhotoService photos;
  private final WatchedFolders watched;
  private final Journal journal;

  UpdateController(
      Updates updates,
      DeskService desk,
      PhotoService photos,
      WatchedFolders watched,
      Journal journal) {
    this.updates = updates;
    this.desk = desk;
    this.photos = photos;
    this.watched = watched;
    this.journal = journal;
  }

  /** Fetches from the stall; where an older release is at the desk, what it changes comes first. */
  @PostMapping("/api/desk/fetch")
  @ResponseBody
  Map<String, Object> fetch(
      @RequestBody String body, @RequestParam(name = "sure", defaultValue = "false") boolean sure) {
    String code = Json.read(body, "The request").text("code");
    return Map.of("go", updates.way(updates.fetch(code, sure)));
  }

  /** Fetches what waits at the stall for a release. */
  @PostMapping("/api/desk/{id}/fetch")
  @ResponseBody
  Map<String, Object> newest(
      @PathVariable("id") long id,
      @RequestParam(name = "sure", defaultValue = "false") boolean sure) {
    return Map.of("go", updates.way(updates.fetch(desk.get(id).code(), sure)));
  }

  @GetMapping("/desk/{old}/update/{now}")
  String page(@PathVariable("old") long old, @PathVariable("now") long now, Model model) {
    model.addAttribute("old", desk.get(old));
    model.addAttribute("now", desk.get(now));
    model.addAttribute("signed", desk.vouched(desk.get(now)));
    model.addAttribute("release", desk.release(desk.get(now)));
    model.addAttribute("watched", watched.names());
    model.addAttribute("photographed", !photos.all(Side.DESK).isEmpty());
    return "shop/desk/update";
  }

  /** What it changes; pictures come singly. */
  @GetMapping("/api/desk/{old}/update/{now}")
  @ResponseBody
  Map<String, Object> changes(@PathVariable("old") long old, @PathVariable("now") long now) {
    List<Updates.Touched> all = updates.changes(desk.get(old), desk.get(now));
    List<Map<String, Object>> changes = new ArrayList<>();
    for (Map<String, Object> change :
        ChangesJson.format(all.stream().map(Updates.Touched::change).toList())) {
      change.put("photos", all.get(changes.size()).photos());
      changes.add(change);
    }
    return Json.object("changes", changes);
  }

  /** How far a change moves the photo that shows it. */
  @GetMapping("/api/desk/{old}/update/{now}/{number}")
  @ResponseBody
  Map<String, Object> moved(
      @PathVariable("old") long old,
      @PathVariable("now") long now,
      @PathVariable("number") int number) {
    return Map.of("by", updates.moved(desk.get(old), desk.get(now), number));
  }

  @GetMapping("/desk/{old}/update/{now}/{number}/{side}")
  ResponseEntity<byte[]> picture(
      @PathVariable("old") long old,
      @PathVariable("now") long now,
      @PathVariable("number") int number,
      @PathVariable("side") String side,
      @RequestParam(name = "photo", defaultValue = "0") long photo,
      WebRequest request) {
    boolean before = side.equals("old");
    return Answers.jpeg(
        updates.picture(desk.get(old), desk.get(now), number, before, photo), request);
  }

  /** Lets one take the other's place, newer or older. */
  @PostMapping("/api/desk/{old}/update/{now}")
  @ResponseBody
  Map<String, Object> replace(@PathVariable("old") long old, @PathVariable("now") long now) {
    String said = updates.replace(desk.get(old), desk.get(now));
    return Map.of(
        "go",
        "/desk/" + now,
        "said",
        said,
        "undone",
        Undo.named(journal, DeskService.SCOPE, "/api/desk/undo"));
  }
}

package org.nineveils.app.shop.desk;

import java.util.List;
import java.util.Map;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.base.web.Uploads;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.wear.fitting.Vouched;
import org.nineveils.guide.GuideFormat;
import org.nineveils.release.Checksums;
import org.nineveils.release.Release;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.multipart.MultipartFile;

/** The pages of the desk: what a photographer sees, and nothing of the maker's side. */
@Controller
class DeskController {
  private final Uploads uploads;
  private final DeskService desk;
  private final Updates updates;
  private final DeskSearch search;
  private final PhotoService photos;
  private final Journal journal;

  DeskController(
      DeskService desk,
      Updates updates,
      DeskSearch search,
      PhotoService photos,
      Journal journal,
      Uploads uploads) {
    this.uploads = uploads;
    this.desk = desk;
    this.updates = updates;
    this.search = search;
    this.photos = photos;
    this.journal = journal;
  }

  /**
   * A release in the list.
   *
   * @param newer what could take its place; null for nothing
   * @param cover whether it has one
   * @param vouched who vouches for it
   */
  record Line(DeskRow row, Updates.Newer newer, boolean cover, Vouched vouched) {}

  private Line line(DeskRow row) {
    return new Line(
        row,
        updates.newer(row).orElse(null),
        desk.release(row).cover().isThere(),
        desk.vouched(row));
  }

  /** The desk; a page of the stall hands over the code that is to be fetched. */
  @GetMapping("/desk")
  String all(@RequestParam(name = "code", defaultValue = "") String code, Model model) {
    model.addAttribute("code", code);
    model.addAttribute("releases", desk.all().stream().map(this::line).toList());
    model.addAttribute("photoCount", photos.count(Side.DESK));
    model.addAttribute("worn", desk.worn());
    model.addAttribute("deskUndo", Undo.of(journal, DeskService.SCOPE));
    return "shop/desk/desk";
  }

  @GetMapping("/desk/{id}")
  String one(@PathVariable("id") long id, Model model) {
    DeskRow row = desk.get(id);
    Release release = desk.release(row);
    boolean photographed = !photos.all(Side.DESK).isEmpty();
    model.addAttribute("base", "/desk/" + id);
    model.addAttribute("release", release);
    model.addAttribute("news", release.news());
    model.addAttribute("cover", release.cover().isThere());
    model.addAttribute("pictures", false);
    model.addAttribute("signed", desk.vouched(row));
    model.addAttribute("newer", updates.newer(row).orElse(null));
    model.addAttribute("before", updates.before(row));
    model.addAttribute("at", row);
    model.addAttribute("marked", desk.favourites(id));
    model.addAttribute("guides", GuideFormat.values());
    model.addAttribute(
        "wear", photographed ? "/desk/fitting/of?wardrobe=release:" + id : "/desk/photos");
    model.addAttribute("wearWords", photographed ? "Wear it on a photo" : "Add a photo first");
    return "leaving/collections/release";
  }

  /** A picture that came with the release. */
  @GetMapping("/desk/{id}/preview")
  ResponseEntity<byte[]> preview(
      @PathVariable("id") long id,
      @RequestParam("effect") String path,
      @RequestParam("after") boolean after) {
    Release.EffectPart effect = desk.release(desk.get(id)).effect(path);
    byte[] picture = after ? effect.after() : effect.before();
    if (picture.length == 0) {
      throw new NotFound("This effect came without pictures.");
    }
    return Answers.jpeg(picture, Checksums.sha256(picture));
  }

  /** The photo on the front of the release. */
  @GetMapping("/desk/{id}/cover")
  ResponseEntity<byte[]> cover(@PathVariable("id") long id, @RequestParam("after") boolean after) {
    Release.Cover cover = desk.release(desk.get(id)).cover();
    if (!cover.isThere()) {
      throw new NotFound("This collection came without a cover.");
    }
    byte[] picture = after ? cover.after() : cover.before();
    return Answers.jpeg(picture, Checksums.sha256(picture));
  }

  @GetMapping("/desk/{id}/small")
  ResponseEntity<byte[]> small(
      @PathVariable("id") long id,
      @RequestParam("effect") String path,
      @RequestParam("photo") long photo,
      WebRequest request) {
    return Answers.jpeg(desk.small(id, path, photo), request);
  }

  @PostMapping("/api/desk")
  @ResponseBody
  Map<String, Object> take(
      @RequestParam("file") MultipartFile file,
      @RequestParam(name = "sure", defaultValue = "false") boolean sure) {
    String name = file.getOriginalFilename() == null ? "file" : file.getOriginalFilename();
    long id = uploads.read(file, bytes -> desk.take(name, bytes, "", sure));
    return Map.of("go", updates.way(id));
  }

  /** Effects of all releases, found by words. */
  @GetMapping("/desk/find")
  String find(
      @RequestParam(name = "q", defaultValue = "") String typed,
      @RequestParam(name = "favourites", defaultValue = "false") boolean only,
      Model model) {
    model.addAttribute("typed", typed);
    model.addAttribute("only", only);
    model.addAttribute("found", typed.isBlank() && !only ? List.of() : search.find(typed, only));
    model.addAttribute("asked", only || !typed.isBlank());
    model.addAttribute("photographed", !photos.all(Side.DESK).isEmpty());
    return "shop/desk/find";
  }

  @PutMapping("/api/desk/{id}/favourite")
  @ResponseBody
  Map<String, Object> favour(
      @PathVariable("id") long id,
      @RequestParam("effect") String path,
      @RequestParam("is") boolean is) {
    desk.favour(id, path, is);
    return Map.of("favourite", is);
  }

  @DeleteMapping("/api/desk/{id}")
  @ResponseBody
  Map<String, Object> remove(@PathVariable("id") long id) {
    DeskRow row = desk.get(id);
    desk.remove(id);
    return Map.of(
        "go",
        "/desk",
        "said",
        "“%s” %s was taken off the desk, with all that was worn of it."
            .formatted(row.name(), row.version()),
        "undone",
        Undo.named(journal, DeskService.SCOPE, "/api/desk/undo"));
  }

  @PostMapping("/api/desk/undo")
  @ResponseBody
  Map<String, Object> undo(Steps steps) {
    return Undo.run(journal, DeskService.SCOPE, steps);
  }
}

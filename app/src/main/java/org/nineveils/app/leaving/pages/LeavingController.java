package org.nineveils.app.leaving.pages;

import java.util.Map;
import java.util.Optional;
import org.nineveils.app.leaving.collections.CollectionRows;
import org.nineveils.app.leaving.collections.PackedReleases;
import org.nineveils.app.leaving.guides.GuideJobs;
import org.nineveils.app.leaving.packing.LeavingService;
import org.nineveils.app.leaving.packing.PackingService;
import org.nineveils.app.leaving.since.SinceService;
import org.nineveils.app.leaving.tables.TablesJob;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.document.Json;
import org.nineveils.release.leaving.Leaving;
import org.nineveils.release.leaving.Reason;
import org.nineveils.release.since.ChangesJson;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/** What is looked at before a collection leaves, what it changes, and packing it. */
@RestController
class LeavingController {
  private final LeavingService leaving;
  private final SinceService since;
  private final PackingService packing;
  private final PackedReleases packed;
  private final TablesJob tables;
  private final GuideJobs guides;

  LeavingController(
      LeavingService leaving,
      SinceService since,
      PackingService packing,
      PackedReleases packed,
      TablesJob tables,
      GuideJobs guides) {
    this.leaving = leaving;
    this.since = since;
    this.packing = packing;
    this.packed = packed;
    this.tables = tables;
    this.guides = guides;
  }

  /** What keeps it in, what is worth a look, and what is well. */
  @GetMapping("/api/collections/{id}/leaving")
  Map<String, Object> leaving(@PathVariable("id") long id) {
    Leaving now = leaving.of(id);
    return Json.object(
        "found", now.found().stream().map(LeavingController::found).toList(),
        "well", now.well());
  }

  private static Map<String, Object> found(Leaving.Found f) {
    return Json.object(
        "must", f.reason().level() == Reason.Level.MUST,
        "subject", f.subject(),
        "words", f.reason().words(),
        "detail", f.detail(),
        "way", f.reason().way(),
        "kit", f.kit(),
        "section", f.section(),
        "effects", f.effects(),
        "photo", f.photo());
  }

  /** What changes for those who have the release before; pictures come singly. */
  @GetMapping("/api/collections/{id}/since")
  Map<String, Object> since(@PathVariable("id") long id) {
    Optional<SinceService.Told> told = since.told(id);
    return told.map(LeavingController::told).orElseGet(() -> Json.object("last", ""));
  }

  /** What differs between two packed releases. */
  @GetMapping("/api/collections/packed/{older}/{newer}")
  Map<String, Object> between(@PathVariable("older") long one, @PathVariable("newer") long two) {
    return told(since.between(one, two));
  }

  private static Map<String, Object> told(SinceService.Told told) {
    return Json.object(
        "last", told.last(), "least", told.least(), "changes", ChangesJson.format(told.changes()));
  }

  /** How far a change between two packed releases moves the picture. */
  @GetMapping("/api/collections/packed/{older}/{newer}/{number}")
  Map<String, Object> movedBetween(
      @PathVariable("older") long one,
      @PathVariable("newer") long two,
      @PathVariable("number") int number) {
    return Map.of("by", since.moved(one, two, number));
  }

  @GetMapping("/collections/packed/{older}/{newer}/{number}/{side}")
  ResponseEntity<byte[]> pictureBetween(
      @PathVariable("older") long one,
      @PathVariable("newer") long two,
      @PathVariable("number") int number,
      @PathVariable("side") String side,
      WebRequest request) {
    return Answers.jpeg(since.picture(one, two, number, side.equals("old")), request);
  }

  /** How far a change moves the picture. */
  @GetMapping("/api/collections/{id}/since/{number}")
  Map<String, Object> moved(@PathVariable("id") long id, @PathVariable("number") int number) {
    return Map.of("by", since.moved(id, number));
  }

  @GetMapping("/collections/{id}/since/{number}/{side}")
  ResponseEntity<byte[]> picture(
      @PathVariable("id") long id,
      @PathVariable("number") int number,
      @PathVariable("side") String side) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(since.picture(id, number, side.equals("old")));
  }

  /**
   * Packs a collection. Where something is worth a look it asks first: “asks” is how many things.
   *
   * @param seen whether the maker has been asked
   */
  @PostMapping("/api/collections/{id}/pack")
  Map<String, Object> pack(
      @PathVariable("id") long id,
      @RequestParam(name = "seen", defaultValue = "false") boolean seen) {
    int looks = leaving.check(id);
    return looks > 0 && !seen
        ? Map.of("asks", looks)
        : Map.of("job", packing.pack(id, looks).shown());
  }

  /** Makes colour tables for other programs. */
  @PostMapping("/api/collections/{id}/tables")
  Map<String, Object> tables(@PathVariable("id") long id, @RequestParam("format") String format) {
    return Map.of("job", tables.start(id, format).shown());
  }

  /** Makes a guide or a contact sheet of a packed release. */
  @PostMapping("/api/collections/packed/{id}/guide")
  Map<String, Object> guide(@PathVariable("id") long id, @RequestParam("format") String format) {
    CollectionRows.Packed one = packed.get(id);
    String called = "%s %s".formatted(one.name(), one.version());
    return Map.of("job", guides.start(one.sha(), called, format).shown());
  }

  @GetMapping("/collections/packed/{id}")
  ResponseEntity<byte[]> download(@PathVariable("id") long id) {
    CollectionRows.Packed release = packed.get(id);
    return Answers.download(
        packed.file(release), MediaType.parseMediaType("application/zip"), release.fileName());
  }
}

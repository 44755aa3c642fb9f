package org.nineveils.app.leaving.pages;

import java.util.Locale;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.leaving.collections.CollectionRows;
import org.nineveils.app.leaving.collections.CollectionService;
import org.nineveils.app.leaving.collections.Drafts;
import org.nineveils.app.leaving.collections.Previews;
import org.nineveils.app.leaving.since.SinceService;
import org.nineveils.app.making.bench.BenchService;
import org.nineveils.release.Release;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** A collection as it would open at the desk, from the state as it would be packed now. */
@Controller
class BuyerController {
  private final CollectionService collections;
  private final Drafts drafts;
  private final SinceService since;
  private final BenchService bench;
  private final Previews previews;

  BuyerController(
      CollectionService collections,
      Drafts drafts,
      SinceService since,
      BenchService bench,
      Previews previews) {
    this.collections = collections;
    this.drafts = drafts;
    this.since = since;
    this.bench = bench;
    this.previews = previews;
  }

  /** The very page of the desk. */
  @GetMapping("/collections/{id}/buyer")
  String page(@PathVariable("id") long id, Model model) {
    Drafts.Snapshot snapshot = drafts.snapshot(id);
    Release release = drafts.plain(snapshot);
    model.addAttribute("base", String.format(Locale.ROOT, "/collections/%d/buyer", id));
    model.addAttribute("release", release);
    model.addAttribute("news", since.news(snapshot));
    model.addAttribute("cover", snapshot.cover() != null);
    model.addAttribute(
        "pictures", snapshot.effects().values().stream().anyMatch(s -> s.photo() != null));
    model.addAttribute("signed", null);
    model.addAttribute("back", "/collections/" + id);
    return "leaving/collections/release";
  }

  /** A picture as it would be packed. */
  @GetMapping("/collections/{id}/buyer/preview")
  ResponseEntity<byte[]> preview(
      @PathVariable("id") long id,
      @RequestParam("effect") long effect,
      @RequestParam("after") boolean after) {
    collections.get(id);
    return picture(previews.of(bench.shown(effect)), after);
  }

  /**
   * The cover as it is stored, or as it is being chosen: what was chosen a moment ago may not be
   * stored yet.
   */
  @GetMapping("/collections/{id}/buyer/cover")
  ResponseEntity<byte[]> cover(
      @PathVariable("id") long id,
      @RequestParam("after") boolean after,
      @RequestParam(name = "photo", defaultValue = "0") long photo,
      @RequestParam(name = "wears", defaultValue = "0") long wears) {
    CollectionRows.Collection c = collections.get(id);
    BenchService.Shown shown =
        bench.shown(wears == 0 ? c.coverEffect() : wears, photo == 0 ? c.coverPhoto() : photo);
    return picture(previews.cover(shown), after);
  }

  private static ResponseEntity<byte[]> picture(byte[][] both, boolean after) {
    byte[] jpeg = both[after ? 1 : 0];
    if (jpeg.length == 0) {
      throw new NotFound("There is no photo on the test wall yet.");
    }
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noCache())
        .body(jpeg);
  }
}

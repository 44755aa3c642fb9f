package org.nineveils.app.wear.fitting;

import java.io.IOException;
import java.util.Map;
import org.nineveils.app.photo.render.Result;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** Applying a fitting to more photos: take files in, start, look how far it is, stop. */
@RestController
@RequestMapping("/api/fittings/{id}/batch")
class BatchApi {
  private final Batches batches;
  private final Incoming incoming;
  private final FittingService fittings;

  BatchApi(Batches batches, Incoming incoming, FittingService fittings) {
    this.batches = batches;
    this.incoming = incoming;
    this.fittings = fittings;
  }

  /** Starts with photos of the wall (ids) and files that were taken in (token, name). */
  @PostMapping
  Map<String, Object> start(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    return Json.object("progress", batches.start(id, Batches.Wanted.of(f), Result.of(f)).shown());
  }

  /** Watches a folder: photos laid there get what is worn now. */
  @PostMapping("/watch")
  Map<String, Object> watch(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    return Json.object("said", batches.watch(id, Batches.Wanted.of(f), Result.of(f)));
  }

  @PostMapping("/files")
  Map<String, Object> take(@PathVariable("id") long id, @RequestParam("file") MultipartFile file)
      throws IOException {
    fittings.get(id);
    return Map.of("token", incoming.take(file));
  }

  /** How far the last batch is; without one, “progress” is missing. */
  @GetMapping
  Map<String, Object> progress(@PathVariable("id") long id) {
    return batches.progress(id);
  }

  @DeleteMapping
  Map<String, Object> stop(@PathVariable("id") long id) {
    batches.stop(id);
    return progress(id);
  }
}

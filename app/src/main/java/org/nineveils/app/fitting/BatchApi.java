package org.nineveils.app.fitting;

import java.io.IOException;
import java.util.Map;
import org.nineveils.document.Json;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Applying a fitting to more photos: start, add files, look how far it is, stop, fetch. */
@RestController
@RequestMapping("/api/fittings/{id}/batch")
class BatchApi {
  private final BatchService batches;

  BatchApi(BatchService batches) {
    this.batches = batches;
  }

  @PostMapping
  Map<String, Object> start(@PathVariable("id") long id, @RequestBody String body) {
    batches.start(id, Json.read(body, "The request").wholes("photos"));
    return progress(id);
  }

  @PostMapping("/files")
  Map<String, Object> add(@PathVariable("id") long id, @RequestParam("file") MultipartFile file)
      throws IOException {
    String name = file.getOriginalFilename() == null ? "photo" : file.getOriginalFilename();
    batches.add(id, name, file.getBytes());
    return progress(id);
  }

  /** How far the batch is; without one, “progress” is missing. */
  @GetMapping
  Map<String, Object> progress(@PathVariable("id") long id) {
    return batches
        .progress(id)
        .map(progress -> Json.object("progress", progress))
        .orElseGet(Json::object);
  }

  @DeleteMapping
  Map<String, Object> stop(@PathVariable("id") long id) {
    batches.stop(id);
    return progress(id);
  }

  @GetMapping("/results")
  ResponseEntity<StreamingResponseBody> results(@PathVariable("id") long id) {
    HttpHeaders headers = new HttpHeaders();
    headers.setContentType(MediaType.parseMediaType("application/zip"));
    headers.setContentDisposition(
        ContentDisposition.attachment().filename("nine-veils-photos.zip").build());
    return new ResponseEntity<>(out -> batches.write(id, out), headers, 200);
  }
}

package org.nineveils.app.making.maker;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.nineveils.document.Json;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** The maker's mark and key. */
@RestController
class MakerController {
  private final MakersMark mark;
  private final KeyFile key;

  MakerController(MakersMark mark, KeyFile key) {
    this.mark = mark;
    this.key = key;
  }

  @PutMapping("/api/makers-mark")
  Map<String, Object> mark(@RequestBody String body) {
    mark.set(Json.read(body, "The request").text("mark"));
    return Map.of();
  }

  /** The key as a file under a pass phrase. */
  @PostMapping("/api/makers-key/export")
  ResponseEntity<byte[]> export(@RequestBody String body) {
    String file = key.export(Json.read(body, "The request").text("phrase"));
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("makers-key.json").build().toString())
        .header(HttpHeaders.CACHE_CONTROL, "no-store")
        .body(file.getBytes(StandardCharsets.UTF_8));
  }

  /** Takes a key from a file; the one that is here is set aside. */
  @PostMapping("/api/makers-key")
  Map<String, Object> take(
      @RequestParam("file") MultipartFile file, @RequestParam("phrase") String phrase)
      throws IOException {
    return Map.of(
        "said", "Key %s signs from now on.".formatted(key.take(file.getBytes(), phrase).named()));
  }
}

package org.nineveils.app.house.workspace;

import java.util.List;
import java.util.Map;
import org.nineveils.document.Json;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Tells what could be tidied away, and does it. */
@RestController
class TidyController {
  private final Tidy tidy;

  TidyController(Tidy tidy) {
    this.tidy = tidy;
  }

  @GetMapping("/api/tidy")
  Map<String, Object> look() {
    List<Needless> all = tidy.look();
    return Json.object(
        "bytes", all.stream().mapToLong(Needless::bytes).sum(),
        "files", all.stream().mapToInt(n -> n.files().size()).sum(),
        "words", all.stream().filter(n -> !n.files().isEmpty()).map(Needless::words).toList());
  }

  @PostMapping("/api/tidy")
  Map<String, Object> tidy() {
    return Map.of("job", tidy.start().shown());
  }
}

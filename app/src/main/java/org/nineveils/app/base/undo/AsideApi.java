package org.nineveils.app.base.undo;

import java.util.Map;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Lets go of what was taken back with work in it. */
@RestController
class AsideApi {
  private final Journal journal;

  AsideApi(Journal journal) {
    this.journal = journal;
  }

  @DeleteMapping("/api/aside/{edit}")
  Map<String, Object> forget(@PathVariable("edit") long edit, @RequestParam("scope") String scope) {
    journal.forget(scope, edit);
    return Map.of("said", "Let go for good.");
  }
}

package org.nineveils.app.wear.fitting;

import java.util.Map;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** What suits the photo of a fitting. */
@RestController
class SuitsApi {
  private final Suits suits;

  SuitsApi(Suits suits) {
    this.suits = suits;
  }

  /** Starts looking; the job's result is the list, the best first. */
  @PostMapping("/api/fittings/{id}/suits")
  Map<String, Object> suits(@PathVariable("id") long id) {
    return Map.of("job", suits.start(id).shown());
  }
}

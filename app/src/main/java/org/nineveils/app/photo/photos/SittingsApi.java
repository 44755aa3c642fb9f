package org.nineveils.app.photo.photos;

import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Photos go into sittings and out of them. */
@RestController
@RequestMapping("/api/photos/{side}/sittings")
class SittingsApi {
  private final Sittings sittings;

  SittingsApi(Sittings sittings) {
    this.sittings = sittings;
  }

  /** Puts “photos” into the sitting “name”; an empty name takes them out of theirs. */
  @PostMapping
  Map<String, Object> put(@PathVariable("side") String side, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    sittings.put(Side.ofId(side), f.text("name", ""), f.wholes("photos"));
    return Map.of();
  }

  @PutMapping("/{id}")
  Map<String, Object> rename(
      @PathVariable("side") String side, @PathVariable("id") long id, @RequestBody String body) {
    sittings.rename(Side.ofId(side), id, Json.read(body, "The request").text("name"));
    return Map.of();
  }
}

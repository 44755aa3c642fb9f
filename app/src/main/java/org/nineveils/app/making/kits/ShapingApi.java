package org.nineveils.app.making.kits;

import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Makes kits of a kit. “go” in an answer is where to look next. */
@RestController
@RequestMapping("/api/kits/{kit}")
class ShapingApi {
  private final Shaping shaping;

  ShapingApi(Shaping shaping) {
    this.shaping = shaping;
  }

  @PostMapping("/duplicate")
  Map<String, Object> duplicate(@PathVariable("kit") long kit, @RequestBody String body) {
    return go(shaping.duplicate(kit, request(body).text("name")));
  }

  /** Takes effects and the name of the new kit. */
  @PostMapping("/split")
  Map<String, Object> split(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    return go(shaping.split(kit, f.wholes("effects"), f.text("name")));
  }

  /** Takes effects and the name of the new kit. */
  @PostMapping("/lite")
  Map<String, Object> lite(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    return go(shaping.lite(kit, f.wholes("effects"), f.text("name")));
  }

  /** Takes the kit that is merged into this one. */
  @PostMapping("/merge")
  Map<String, Object> merge(@PathVariable("kit") long kit, @RequestBody String body) {
    String said = shaping.merge(kit, Long.parseLong(request(body).text("other")));
    return Map.of("said", said);
  }

  private static Map<String, Object> go(long kit) {
    return Map.of("go", "/kits/" + kit);
  }

  private static Fields request(String body) {
    return Json.read(body, "The request");
  }
}

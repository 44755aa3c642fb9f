package org.nineveils.app.wear.fitting;

import java.util.Map;
import org.nineveils.document.Json;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Pins of a fitting; every answer holds the pins as they are now. */
@RestController
@RequestMapping("/api/fittings/{id}/pins")
class PinsApi {
  private final Pins pins;
  private final FittingService fittings;
  private final FittingStates states;

  PinsApi(Pins pins, FittingService fittings, FittingStates states) {
    this.pins = pins;
    this.fittings = fittings;
    this.states = states;
  }

  @PostMapping
  Map<String, Object> add(@PathVariable("id") long id) {
    pins.add(id);
    return state(id);
  }

  @PutMapping("/{pin}")
  Map<String, Object> rename(
      @PathVariable("id") long id, @PathVariable("pin") long pin, @RequestBody String body) {
    pins.rename(id, pin, Json.read(body, "The request").text("name"));
    return state(id);
  }

  @DeleteMapping("/{pin}")
  Map<String, Object> remove(@PathVariable("id") long id, @PathVariable("pin") long pin) {
    pins.remove(id, pin);
    return state(id);
  }

  @PostMapping("/{pin}/back")
  Map<String, Object> back(@PathVariable("id") long id, @PathVariable("pin") long pin) {
    pins.goBack(id, pin);
    return state(id);
  }

  /** Lets the photo wear a mix of two states. */
  @PostMapping("/mix")
  Map<String, Object> mix(@PathVariable("id") long id, @RequestBody String body) {
    pins.wearMix(id, Json.read(body, "The request"));
    return state(id);
  }

  private Map<String, Object> state(long id) {
    return states.of(fittings.get(id));
  }
}

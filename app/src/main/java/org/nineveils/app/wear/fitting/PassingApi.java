package org.nineveils.app.wear.fitting;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** A look goes on to other photos. */
@RestController
class PassingApi {
  private final Passing passing;
  private final FittingService fittings;
  private final FittingStates states;
  private final Pins pins;

  PassingApi(Passing passing, FittingService fittings, FittingStates states, Pins pins) {
    this.passing = passing;
    this.fittings = fittings;
    this.states = states;
    this.pins = pins;
  }

  /** Lets the photos of a list wear what this one does, or what a pin of it remembers. */
  @PostMapping("/api/fittings/{id}/pass")
  Map<String, Object> pass(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    Fitting look =
        f.has("pin") ? pins.fitting(id, f.whole("pin")) : fittings.fitting(fittings.get(id));
    return said(fittings.get(id), passing.on(id, look, f.wholes("photos")));
  }

  /** Lets a photo wear what another one does in a wardrobe, and gives its fitting. */
  @PostMapping("/api/fittings/as-on")
  Map<String, Object> asOn(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    Passing.AsOn came = passing.asOn(f.text("wardrobe"), f.whole("photo"), f.whole("as"));
    return said(came.row(), came.said());
  }

  private Map<String, Object> said(FittingRow row, String sentence) {
    Map<String, Object> out = new LinkedHashMap<>(states.of(fittings.get(row.id())));
    out.put("said", sentence);
    return out;
  }
}

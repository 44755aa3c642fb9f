package org.nineveils.app.order.rack;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.making.bench.BenchService;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.Filing;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Series;
import org.nineveils.kit.Steppable;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Effects made from one by stepping a number: what can be stepped, a look at it, and doing it. */
@RestController
class SeriesApi {
  private final EffectService effects;
  private final Filing filing;
  private final RackState rack;
  private final PhotoService photos;
  private final BenchService bench;
  private final Thumbnails thumbnails;

  SeriesApi(
      EffectService effects,
      Filing filing,
      RackState rack,
      PhotoService photos,
      BenchService bench,
      Thumbnails thumbnails) {
    this.effects = effects;
    this.filing = filing;
    this.rack = rack;
    this.photos = photos;
    this.bench = bench;
    this.thumbnails = thumbnails;
  }

  /** The veils of an effect with the numbers that can be stepped. */
  @GetMapping("/api/series/{effect}")
  Map<String, Object> choices(@PathVariable("effect") long id) {
    Rows.Effect row = effects.get(id);
    return Json.object(
        "name",
        row.name(),
        "veils",
        effects.effect(row).veils().stream().map(SeriesApi::veil).toList());
  }

  private static Map<String, Object> veil(Veil veil) {
    return Json.object(
        "id", veil.id(),
        "name", veil.name(),
        "numbers",
            Steppable.of(veil).stream()
                .map(
                    s ->
                        Json.object(
                            "key", s.key(),
                            "label", s.label(),
                            "unit", s.unit(),
                            "min", s.min(),
                            "max", s.max(),
                            "step", s.step(),
                            "value", s.value(),
                            "changed", s.changed()))
                .toList());
  }

  /** Names and values of a series that is not made yet. */
  @PostMapping("/api/series/{effect}/try")
  Map<String, Object> attempt(@PathVariable("effect") long id, @RequestBody String body) {
    return Json.object(
        "steps",
        steps(effects.get(id), Json.read(body, "The request")).stream()
            .map(s -> Json.object("name", s.name(), "value", s.value()))
            .toList());
  }

  /** Files a series; answered as acts on a rack are. */
  @PostMapping("/api/series/{effect}")
  Map<String, Object> make(@PathVariable("effect") long id, @RequestBody String body) {
    Rows.Effect row = effects.get(id);
    List<Long> made = filing.series(id, steps(row, Json.read(body, "The request")));
    String said =
        String.format(Locale.ROOT, "%d effects were made from “%s”.", made.size(), row.name());
    return rack.after(row.kitId(), said, made);
  }

  private List<Series.Step> steps(Rows.Effect row, Fields f) {
    List<Double> values =
        f.has("values")
            ? f.list("values").stream().map(v -> ((Number) v).doubleValue()).toList()
            : Series.values(f.number("from"), f.number("to"), f.number("step"));
    return Series.of(
        effects.effect(row), row.name(), f.text("veil"), f.text("key"), values, f.text("pattern"));
  }

  /** A step of a series on a photo. */
  @GetMapping("/series/{effect}/{photo}")
  ResponseEntity<byte[]> picture(
      @PathVariable("effect") long id,
      @PathVariable("photo") long photo,
      @RequestParam("veil") String veil,
      @RequestParam("key") String key,
      @RequestParam("value") double value) {
    Rows.Effect row = effects.get(id);
    Effect made =
        Series.of(effects.effect(row), row.name(), veil, key, List.of(value), "{name}")
            .get(0)
            .effect();
    var picture = thumbnails.proof(photos.get(photo), made, bench.paint(id, photo), made.start());
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(Thumbnails.once(picture));
  }
}

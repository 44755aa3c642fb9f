package org.nineveils.app.making.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.regions.RegionService;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.photo.render.StageRenderer;
import org.nineveils.app.photo.render.StageRequest;
import org.nineveils.app.photo.render.Tracer;
import org.nineveils.document.EffectDifferences;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.kit.Promises;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Saving, painting, undo and previews at the bench. */
@RestController
@RequestMapping("/api/effects/{id}")
class BenchApi {
  private final EffectService effects;
  private final PhotoService photos;
  private final BenchService bench;
  private final RegionService regions;
  private final StageRenderer stage;
  private final Tracer tracer;
  private final Journal journal;

  BenchApi(
      EffectService effects,
      PhotoService photos,
      BenchService bench,
      RegionService regions,
      StageRenderer stage,
      Tracer tracer,
      Journal journal) {
    this.effects = effects;
    this.photos = photos;
    this.bench = bench;
    this.regions = regions;
    this.stage = stage;
    this.tracer = tracer;
    this.journal = journal;
  }

  /** The state as stored: what the page takes up whole after whatever it asked for. */
  @GetMapping
  Map<String, Object> state(@PathVariable("id") long id, @RequestParam("photo") long photoId) {
    return state(id, photoId, "");
  }

  private Map<String, Object> state(long id, long photoId, String said) {
    Rows.Effect row = effects.get(id);
    Effect effect = effects.effect(row);
    Map<String, Object> out =
        Json.object(
            "rev", row.rev(),
            "effect", EffectJson.format(effect),
            "photo", photoId,
            "painted", bench.painted(id, photoId),
            "promises", Promises.broken(effect),
            "undo", Undo.of(journal, EffectService.scope(id)));
    if (!said.isEmpty()) {
      out.put("said", said);
    }
    return out;
  }

  @PutMapping
  Map<String, Object> save(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The effect");
    Effect effect = EffectJson.parse(f.object("effect"));
    effects.save(id, Save.of(f), effect);
    return state(id, f.has("photo") ? f.whole("photo") : 0);
  }

  @PostMapping("/undo")
  Map<String, Object> undo(
      @PathVariable("id") long id, Steps steps, @RequestParam("photo") long photoId) {
    return state(id, photoId, journal.step(EffectService.scope(id), steps));
  }

  @PostMapping("/paint")
  Map<String, Object> paint(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The stroke");
    Stroke stroke = PaintJson.parseStroke(f.object("stroke"));
    bench.addStroke(id, f.whole("photo"), f.text("veil"), stroke);
    return state(id, f.whole("photo"));
  }

  /** What is painted on a photo, strokes and all, as the command line takes it. */
  @GetMapping("/paint")
  Map<String, Object> painted(@PathVariable("id") long id, @RequestParam("photo") long photoId) {
    effects.get(id);
    return PaintJson.format(bench.paint(id, photoId));
  }

  /** Lets one veil cover where another does: its mask, and what was painted on any photo. */
  @PostMapping("/copy-mask")
  Map<String, Object> copyMask(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    bench.copyMask(id, Save.of(f), f.text("from"), f.text("to"));
    return state(id, f.whole("photo"));
  }

  /** Shows all of a veil on one photo, turns its paint round, or takes it off. */
  @PostMapping("/paint-all")
  Map<String, Object> paintAll(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    bench.paintAll(id, f.whole("photo"), f.text("veil"), f.text("how"));
    return state(id, f.whole("photo"));
  }

  /** Where a region of the photo lies; the whole of it nowhere where it has none of that name. */
  private byte[] region(Photo photo, StageRequest request, String name) {
    return stage.coverPacket(
        photo,
        request,
        plain -> {
          float[] cover = regions.cover(photo.id(), name, plain);
          return cover == null ? new float[plain.area().pixels()] : cover;
        });
  }

  /** A picture for the stage, of the veils in the request, which need not be saved yet. */
  @PostMapping("/render")
  ResponseEntity<byte[]> render(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    Photo photo = photos.get(f.whole("photo"));
    Effect effect = EffectJson.parse(f.object("effect"));
    Map<String, Paint> paint = new LinkedHashMap<>(bench.paint(id, photo.id()));
    if (f.has("stroke")) {
      Stroke stroke = PaintJson.parseStroke(f.object("stroke"));
      paint.merge(f.text("veil"), new Paint(List.of(stroke)), (old, one) -> old.plus(stroke));
    }
    if (f.has("mask")) {
      return mask(photo, f, effect, paint);
    }
    if (f.has("region")) {
      return Answers.packet(region(photo, StageRequest.parse(f), f.text("region")));
    }
    paint.remove(f.text("bare", "")); // its mask is switched off to compare
    Stack stack = over(f, photo, Bundle.of(effect, paint));
    if (f.has("live")) {
      return Answers.packet(stage.livePacket(photo, stack, f.object("live")));
    }
    return Answers.packet(stage.packet(photo, StageRequest.parse(f), stack));
  }

  /** What each veil did at a spot. */
  @PostMapping("/trace")
  Map<String, Object> trace(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    Photo photo = photos.get(f.whole("photo"));
    Effect effect = EffectJson.parse(f.object("effect"));
    Bundle own = Bundle.of(effect, bench.paint(id, photo.id()));
    return tracer.trace(photo, f, over(f, photo, own));
  }

  /** The stack of a bundle over the effect that “under” names, with its paint on that photo. */
  private Stack over(Fields f, Photo photo, Bundle own) {
    Optional<Rows.Effect> under =
        f.has("under") ? effects.find(f.whole("under")) : Optional.empty();
    List<Bundle> bundles = new ArrayList<>();
    under.ifPresent(
        row -> bundles.add(Bundle.of(effects.effect(row), bench.paint(row.id(), photo.id()))));
    bundles.add(own);
    return new Stack(bundles);
  }

  /** What differs from the effect that this one is a variant of. */
  @GetMapping("/differences")
  Map<String, Object> differences(@PathVariable("id") long id) {
    Rows.Effect own = effects.get(id);
    Rows.Effect origin =
        Optional.ofNullable(own.variantOf())
            .flatMap(effects::find)
            .orElseThrow(() -> new NotFound("The effect that this one comes from is gone."));
    return Json.object(
        "origin", origin.name(),
        "differences", EffectDifferences.between(effects.effect(origin), effects.effect(own)));
  }

  /** Where the veil that “mask” names covers. */
  private ResponseEntity<byte[]> mask(
      Photo photo, Fields f, Effect effect, Map<String, Paint> paint) {
    Bundle bundle = Bundle.of(effect, paint);
    String id = f.text("mask");
    Veil veil =
        bundle.veil(id).orElseThrow(() -> new NotFound("This veil is no longer in the effect."));
    Paint own = bundle.paint().getOrDefault(id, Paint.NONE);
    return Answers.packet(stage.maskPacket(photo, StageRequest.parse(f), veil.mask(), own));
  }
}

package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.photo.render.StageRenderer;
import org.nineveils.app.photo.render.StageRequest;
import org.nineveils.app.photo.render.Tracer;
import org.nineveils.document.Fields;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.refusal.Refusal;
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
import org.springframework.web.bind.annotation.RestController;

/** Wearing, painting, undo and previews in a fitting. */
@RestController
@RequestMapping("/api/fittings/{id}")
class FittingApi {
  private final FittingService fittings;
  private final Together together;
  private final FittingPainting painting;
  private final PhotoService photos;
  private final StageRenderer stage;
  private final Tracer tracer;
  private final Pins pins;
  private final LaidBy laidBy;
  private final FittingStates states;
  private final Journal journal;

  FittingApi(
      FittingService fittings,
      Together together,
      FittingPainting painting,
      PhotoService photos,
      StageRenderer stage,
      Tracer tracer,
      Pins pins,
      LaidBy laidBy,
      FittingStates states,
      Journal journal) {
    this.fittings = fittings;
    this.together = together;
    this.painting = painting;
    this.photos = photos;
    this.stage = stage;
    this.tracer = tracer;
    this.pins = pins;
    this.laidBy = laidBy;
    this.states = states;
    this.journal = journal;
  }

  @GetMapping
  Map<String, Object> state(@PathVariable("id") long id) {
    return states.of(fittings.get(id));
  }

  @PutMapping
  Map<String, Object> save(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The fitting");
    Fitting fitting = FittingJson.parse(f.object("fitting"));
    fittings.save(id, Save.of(f), fitting);
    return state(id);
  }

  /**
   * Puts an effect on; “ask” in the answer is a question, and then nothing was changed; “back” is
   * the effect where it came back as it was before.
   */
  @PostMapping("/wear")
  Map<String, Object> wear(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    String key = f.text("effect");
    boolean known = laidBy.keys(id).contains(key);
    Fitting.Change change = fittings.wear(id, key, answer(f.text("answer", "none")));
    Map<String, Object> out = new LinkedHashMap<>(state(id));
    out.put(change.asks().isEmpty() ? "said" : "ask", change.said());
    if (known && change.asks().isEmpty()) {
      out.put("back", key);
    }
    return out;
  }

  /** Lets an effect that came back as it was be as it goes on. */
  @PostMapping("/fresh")
  Map<String, Object> fresh(@PathVariable("id") long id, @RequestBody String body) {
    fittings.fresh(id, Json.read(body, "The request").text("effect"));
    return said("It is as it goes on: nothing turned, nothing brushed.", id);
  }

  private static Fitting.Answer answer(String word) {
    return switch (word) {
      case "none" -> Fitting.Answer.NONE;
      case "both" -> Fitting.Answer.BOTH;
      case "instead" -> Fitting.Answer.INSTEAD;
      default -> throw new Refusal("The answer is both or instead, not “%s”.".formatted(word));
    };
  }

  @PostMapping("/wear-all")
  Map<String, Object> wearAll(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    return said(fittings.wearAll(id, f.whole("section"), f.flag("lifted", true)), id);
  }

  @PostMapping("/take-off-section")
  Map<String, Object> takeOffSection(@PathVariable("id") long id, @RequestBody String body) {
    fittings.takeOffSection(id, Json.read(body, "The request").whole("section"));
    return said("Nothing of the section is worn any more.", id);
  }

  @PostMapping("/reset-section")
  Map<String, Object> resetSection(@PathVariable("id") long id, @RequestBody String body) {
    fittings.resetSection(id, Json.read(body, "The request").whole("section"));
    return said("What is worn of the section is as it went on.", id);
  }

  @PostMapping("/take-off")
  Map<String, Object> takeOff(@PathVariable("id") long id, @RequestBody String body) {
    fittings.takeOff(id, Json.read(body, "The request").text("effect"));
    return state(id);
  }

  /** Takes another wardrobe to the fitting's own. */
  @PostMapping("/together")
  Map<String, Object> together(@PathVariable("id") long id, @RequestBody String body) {
    return said(together.take(id, Json.read(body, "The request").text("wardrobe")), id);
  }

  /** Puts a wardrobe away that was taken to it. */
  @PostMapping("/put-away")
  Map<String, Object> putAway(@PathVariable("id") long id, @RequestBody String body) {
    return said(together.putAway(id, Json.read(body, "The request").text("wardrobe")), id);
  }

  @PostMapping("/paint")
  Map<String, Object> paint(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The stroke");
    Stroke stroke = PaintJson.parseStroke(f.object("stroke"));
    painting.add(id, f.text("effect"), f.text("veil"), stroke);
    return state(id);
  }

  /** Shows all of a veil or of an effect, turns its paint round, or takes it off. */
  @PostMapping("/paint-all")
  Map<String, Object> paintAll(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    painting.all(id, f.text("effect"), f.text("veil"), f.text("how"));
    return state(id);
  }

  /** Lets a veil or an effect cover where another does. */
  @PostMapping("/copy-mask")
  Map<String, Object> copyMask(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    String[] from = {f.text("fromEffect"), f.text("from")};
    return said(painting.copy(id, from, new String[] {f.text("effect"), f.text("veil")}), id);
  }

  /** Lays paint on a worn effect as a file keeps it. */
  @PostMapping("/load-paint")
  Map<String, Object> load(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The file");
    Map<String, Paint> paint = PaintJson.parse(f.object("paint"));
    return said(painting.load(id, f.text("effect"), paint), id);
  }

  @PostMapping("/undo")
  Map<String, Object> undo(@PathVariable("id") long id, Steps steps) {
    return said(journal.step(FittingService.scope(id), steps), id);
  }

  /**
   * A picture for the stage, of the fitting in the request, which need not be saved yet, with the
   * paint that is stored. “try” names an effect that is looked at alone, as it would be on the
   * plain photo; “pin” a remembered state.
   */
  @PostMapping("/render")
  ResponseEntity<byte[]> render(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    FittingRow row = fittings.get(id);
    Photo photo = photos.get(row.photoId());
    if (f.has("try")) {
      Effect effect = fittings.wardrobe(row).effects().apply(f.text("try"));
      Stack alone = effect == null ? Stack.plain() : Stack.of(Bundle.of(effect, Map.of()));
      return Answers.packet(stage.packet(photo, StageRequest.parse(f), alone));
    }
    Fitting wanted = wanted(id, f);
    Wardrobe wardrobe = fittings.wardrobe(row, wanted);
    if (f.has("mask")) {
      return mask(photo, f, wardrobe, wanted);
    }
    Stack stack = wanted.stack(wardrobe.effects());
    if (f.has("live")) {
      return Answers.packet(stage.livePacket(photo, stack, f.object("live")));
    }
    return Answers.packet(stage.packet(photo, StageRequest.parse(f), stack));
  }

  /** What each veil of each effect did at a spot. */
  @PostMapping("/trace")
  Map<String, Object> trace(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    FittingRow row = fittings.get(id);
    Fitting wanted = wanted(id, f);
    Stack stack = wanted.stack(fittings.wardrobe(row, wanted).effects());
    return tracer.trace(photos.get(row.photoId()), f, stack);
  }

  /** Where the veil “mask” of the worn effect “maskOn” covers, or that effect as a whole. */
  private ResponseEntity<byte[]> mask(Photo photo, Fields f, Wardrobe wardrobe, Fitting fitting) {
    String key = f.text("maskOn");
    Effect effect = wardrobe.effects().apply(key);
    if (effect == null) {
      throw gone();
    }
    Bundle worn =
        fitting.worn().stream()
            .filter(w -> w.effect().equals(key))
            .findFirst()
            .map(w -> w.bundle(effect))
            .orElseGet(() -> Bundle.of(effect, Map.of()));
    String id = f.text("mask");
    if (id.equals(Worn.WHOLE)) {
      return Answers.packet(
          stage.maskPacket(photo, StageRequest.parse(f), worn.mask(), worn.cover()));
    }
    Veil veil =
        worn.veils().stream()
            .filter(v -> v.id().equals(id))
            .findFirst()
            .orElseThrow(FittingApi::gone);
    Paint paint = worn.paint().getOrDefault(id, Paint.NONE);
    return Answers.packet(stage.maskPacket(photo, StageRequest.parse(f), veil.mask(), paint));
  }

  private static NotFound gone() {
    return new NotFound("This veil is no longer here.");
  }

  /** The fitting that a request names, painted. */
  private Fitting wanted(long id, Fields f) {
    if (f.has("mix")) {
      return pins.mix(id, f.object("mix"));
    }
    return f.has("pin")
        ? pins.fitting(id, f.whole("pin"))
        : withStroke(f, fittings.painted(id, FittingJson.parse(f.object("fitting"))));
  }

  /** The fitting with a stroke that is being painted and not saved yet. */
  private static Fitting withStroke(Fields f, Fitting fitting) {
    if (!f.has("stroke")) {
      return fitting;
    }
    Stroke stroke = PaintJson.parseStroke(f.object("stroke"));
    String veil = f.text("veil");
    List<Worn> worn = new ArrayList<>();
    for (Worn w : fitting.worn()) {
      Paint old = w.paint().getOrDefault(veil, Paint.NONE);
      worn.add(w.effect().equals(f.text("strokeOn")) ? w.painted(veil, old.plus(stroke)) : w);
    }
    return new Fitting(worn);
  }

  private Map<String, Object> said(String sentence, long id) {
    Map<String, Object> out = new LinkedHashMap<>(state(id));
    out.put("said", sentence);
    return out;
  }
}

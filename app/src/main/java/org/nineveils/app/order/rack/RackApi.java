package org.nineveils.app.order.rack;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.EffectTags;
import org.nineveils.app.making.kits.Filing;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Marks;
import org.nineveils.app.making.kits.Shaping;
import org.nineveils.app.making.kits.ShownOn;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Mark;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Acts on a rack. Each is answered with the rack as it is then, what happened in a sentence
 * (“said”) and ids of effects that were added (“made”).
 */
@RestController
@RequestMapping("/api/rack/{kit}")
class RackApi {
  private final RackState rack;
  private final Filing filing;
  private final EffectService effects;
  private final EffectTags tags;
  private final Marks marks;
  private final Shaping shaping;
  private final ShownOn shown;
  private final Journal journal;

  RackApi(
      RackState rack,
      Filing filing,
      EffectService effects,
      EffectTags tags,
      Marks marks,
      Shaping shaping,
      ShownOn shown,
      Journal journal) {
    this.rack = rack;
    this.filing = filing;
    this.effects = effects;
    this.tags = tags;
    this.marks = marks;
    this.shaping = shaping;
    this.shown = shown;
    this.journal = journal;
  }

  @GetMapping
  Map<String, Object> state(@PathVariable("kit") long kit) {
    return rack.of(kit);
  }

  @PostMapping("/undo")
  Map<String, Object> undo(@PathVariable("kit") long kit, Steps steps) {
    Object said = Undo.run(journal, KitService.scope(kit), steps).get("said");
    return rack.after(kit, String.valueOf(said), List.of());
  }

  /** Takes effects, section, and the effect that they are put before, if any. */
  @PostMapping("/move")
  Map<String, Object> move(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    Long before = f.has("before") ? (long) f.whole("before") : null;
    return rack.after(kit, filing.move(picked(f), f.whole("section"), before), List.of());
  }

  /** Takes effects and the section that the copies are put into. */
  @PostMapping("/copy")
  Map<String, Object> copy(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    List<Long> made = filing.copy(picked(f), f.whole("section"));
    String said =
        made.size() == 1
            ? "Copied."
            : String.format(Locale.ROOT, "%d effects were copied.", made.size());
    return rack.after(kit, said, made);
  }

  @PostMapping("/tag")
  Map<String, Object> tag(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    tags.tag(picked(f), f.text("tag"), f.flag("on", true));
    return rack.after(kit, "", List.of());
  }

  /** Takes effects and the id of a mark; none for the empty one. */
  @PostMapping("/mark")
  Map<String, Object> mark(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    marks.mark(picked(f), Mark.ofId(f.text("mark")));
    return rack.after(kit, "", List.of());
  }

  @PostMapping("/favour")
  Map<String, Object> favour(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    filing.favour(picked(f), f.flag("on", true));
    return rack.after(kit, "", List.of());
  }

  @PostMapping("/remove")
  Map<String, Object> remove(@PathVariable("kit") long kit, @RequestBody String body) {
    return rack.after(kit, filing.remove(picked(request(body))), List.of());
  }

  /** Takes section and names, one a line. */
  @PostMapping("/plan")
  Map<String, Object> plan(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    List<Long> made = filing.plan(f.whole("section"), f.text("names").lines().toList());
    String said =
        made.size() == 1 ? "" : String.format(Locale.ROOT, "%d effects are planned.", made.size());
    return rack.after(kit, said, made);
  }

  @PostMapping("/rename")
  Map<String, Object> rename(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    long id = f.whole("effect");
    effects.file(id, effects.get(id).sectionId(), f.text("name"));
    return rack.after(kit, "", List.of());
  }

  @PostMapping("/let-go")
  Map<String, Object> letGo(@PathVariable("kit") long kit, @RequestBody String body) {
    shaping.letGo(picked(request(body)));
    return rack.after(kit, "", List.of());
  }

  @PostMapping("/shown")
  Map<String, Object> shown(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    shown.show(kit, f.whole("photo"), f.flag("on", true));
    return rack.after(kit, "", List.of());
  }

  @PostMapping("/cover")
  Map<String, Object> cover(@PathVariable("kit") long kit, @RequestBody String body) {
    shown.setCover(kit, request(body).whole("photo"));
    return rack.after(kit, "This photo stands for the kit now.", List.of());
  }

  private static List<Long> picked(Fields f) {
    return f.wholes("effects");
  }

  private static Fields request(String body) {
    return Json.read(body, "The request");
  }
}

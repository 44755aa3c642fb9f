package org.nineveils.app.order.rack;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.document.Json;
import org.nineveils.kit.Mark;
import org.nineveils.kit.StackingRule;
import org.nineveils.region.Regions;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The page of a kit. */
@Controller
class RackController {
  private final KitService kits;
  private final PhotoService photos;
  private final RackState rack;
  private final Journal journal;

  RackController(KitService kits, PhotoService photos, RackState rack, Journal journal) {
    this.kits = kits;
    this.photos = photos;
    this.rack = rack;
    this.journal = journal;
  }

  @GetMapping("/kits/{id}")
  String one(@PathVariable("id") long id, Model model) {
    Map<String, Object> state = rack.of(id);
    state.put(
        "wall",
        photos.all(Side.WALL).stream()
            .map(p -> Json.object("id", p.id(), "name", p.name()))
            .toList());
    state.put("others", others(id));
    state.put("rules", rules());
    state.put("regions", Regions.all());
    state.put(
        "marks",
        Stream.of(Mark.values())
            .map(m -> Json.object("id", m.id(), "word", m.word(), "sign", m.sign()))
            .toList());
    model.addAttribute("kit", kits.kit(id));
    model.addAttribute("data", Json.write(state));
    model.addAttribute("rules", StackingRule.values());
    model.addAttribute("undo", Undo.of(journal, KitService.scope(id)));
    return "order/rack/rack";
  }

  /** The other kits with their sections: what can be dropped on. */
  private List<Object> others(long id) {
    Map<Long, Integer> effects = new HashMap<>();
    kits.counts().forEach(c -> effects.merge(c.kitId(), c.effects(), Integer::sum));
    return kits.kits().stream()
        .filter(k -> k.id() != id)
        .<Object>map(
            k ->
                Json.object(
                    "id", k.id(),
                    "name", k.name(),
                    "effects", effects.getOrDefault(k.id(), 0),
                    "sections",
                        kits.sections(k.id()).stream()
                            .map(s -> Json.object("id", s.id(), "name", section(s)))
                            .toList()))
        .toList();
  }

  private static String section(Rows.Section section) {
    return section.number() + " " + section.name();
  }

  private static List<Object> rules() {
    return Stream.of(StackingRule.values())
        .<Object>map(r -> Json.object("id", r.id(), "label", r.label(), "sentence", r.sentence()))
        .toList();
  }
}

package org.nineveils.app.order.rack;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Marks;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.kits.WornRules;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Mark;
import org.nineveils.kit.StackingRule;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Acts on the sections of a rack, answered as those on effects are. */
@RestController
@RequestMapping("/api/rack/{kit}/sections")
class SectionsApi {
  private final KitService kits;
  private final WornRules rules;
  private final TryOut trying;
  private final Marks marks;
  private final RackState rack;

  SectionsApi(KitService kits, WornRules rules, TryOut trying, Marks marks, RackState rack) {
    this.kits = kits;
    this.rules = rules;
    this.trying = trying;
    this.marks = marks;
    this.rack = rack;
  }

  @PostMapping
  Map<String, Object> add(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    kits.addSection(kit, f.text("name"), StackingRule.ofId(f.text("rule")));
    return rack.after(kit, "", List.of());
  }

  /** Takes section, name, rule, and against: [{ section, asks }]. */
  @PostMapping("/change")
  Map<String, Object> change(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    rules.set(f.text("name"), rule(f));
    return rack.after(kit, "", List.of());
  }

  /**
   * What would be worn, effect after effect, where a section had the rule that is given: takes
   * effects besides. Each step is [said, question, ids that are on].
   */
  @PostMapping("/try")
  Map<String, Object> attempt(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    return Map.of("steps", trying.steps(kit, f.wholes("effects"), rule(f)));
  }

  private static WornRules.Rule rule(Fields f) {
    Map<Long, Boolean> against = new LinkedHashMap<>();
    f.objects("against", a -> against.put((long) a.whole("section"), a.flag("asks", false)));
    return new WornRules.Rule(f.whole("section"), StackingRule.ofId(f.text("rule")), against);
  }

  /** Takes section and the id of a mark; none for the empty one. */
  @PostMapping("/mark")
  Map<String, Object> mark(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    marks.markSection(f.whole("section"), Mark.ofId(f.text("mark")));
    return rack.after(kit, "", List.of());
  }

  /** Takes section, and the one that it is put before, if any. */
  @PostMapping("/place")
  Map<String, Object> place(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    kits.placeSection(f.whole("section"), f.has("before") ? (long) f.whole("before") : null);
    return rack.after(kit, "", List.of());
  }

  @PostMapping("/fold")
  Map<String, Object> fold(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    kits.fold(f.whole("section"), f.flag("folded", true));
    return rack.after(kit, "", List.of());
  }

  @PostMapping("/remove")
  Map<String, Object> remove(@PathVariable("kit") long kit, @RequestBody String body) {
    Rows.Section section = kits.section(request(body).whole("section"));
    kits.removeSection(section.id());
    return rack.after(kit, "“%s” was removed.".formatted(section.name()), List.of());
  }

  private static Fields request(String body) {
    return Json.read(body, "The request");
  }
}

package org.nineveils.app.kits;

import org.nineveils.app.data.Journal;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.photos.Side;
import org.nineveils.app.web.Undo;
import org.nineveils.kit.StackingRule;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The pages of kits. */
@Controller
class KitsController {
  private final KitService kits;
  private final PhotoService photos;
  private final Journal journal;

  KitsController(KitService kits, PhotoService photos, Journal journal) {
    this.kits = kits;
    this.photos = photos;
    this.journal = journal;
  }

  /** A kit with what its card on the first page shows. */
  record Card(Rows.Kit kit, long sections, long effects, java.util.List<Rows.Effect> first) {}

  @GetMapping("/")
  String start() {
    return "redirect:/kits";
  }

  @GetMapping("/kits")
  String all(Model model) {
    model.addAttribute("cards", kits.kits().stream().map(this::card).toList());
    model.addAttribute("photoCount", photos.all(Side.WALL).size());
    model.addAttribute("undo", Undo.of(journal, "kits"));
    return "kits/kits";
  }

  @GetMapping("/kits/{id}")
  String one(@PathVariable("id") long id, Model model) {
    model.addAttribute("kit", kits.kit(id));
    model.addAttribute("sections", kits.filled(id));
    model.addAttribute("rules", StackingRule.values());
    model.addAttribute("photos", photos.all(Side.WALL));
    model.addAttribute("undo", Undo.of(journal, KitService.scope(id)));
    return "kits/kit";
  }

  private Card card(Rows.Kit kit) {
    var sections = kits.filled(kit.id());
    var effects = sections.stream().flatMap(s -> s.effects().stream()).toList();
    return new Card(kit, sections.size(), effects.size(), effects.stream().limit(4).toList());
  }
}

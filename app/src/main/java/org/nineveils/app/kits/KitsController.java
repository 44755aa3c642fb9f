package org.nineveils.app.kits;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
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
  private static final int CARD_PICTURES = 4;

  private final KitService kits;
  private final PhotoService photos;
  private final Journal journal;

  KitsController(KitService kits, PhotoService photos, Journal journal) {
    this.kits = kits;
    this.photos = photos;
    this.journal = journal;
  }

  /** A kit with what its card on the first page shows. */
  record Card(Rows.Kit kit, long sections, long effects, List<Rows.Effect> first) {}

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
    long effects = sections.stream().mapToLong(s -> s.effects().size()).sum();
    return new Card(kit, sections.size(), effects, shown(sections));
  }

  /** One effect of each section in turn, then the second ones, until the card is full. */
  private static List<Rows.Effect> shown(List<Rows.FilledSection> sections) {
    return sections.stream()
        .flatMap(
            s ->
                IntStream.range(0, s.effects().size())
                    .mapToObj(i -> Map.entry(i, s.effects().get(i))))
        .sorted(Map.Entry.comparingByKey())
        .limit(CARD_PICTURES)
        .map(Map.Entry::getValue)
        .toList();
  }
}

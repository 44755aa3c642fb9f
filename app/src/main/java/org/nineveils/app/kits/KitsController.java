package org.nineveils.app.kits;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.photos.Side;
import org.nineveils.app.undo.Journal;
import org.nineveils.app.undo.Undo;
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
  record Card(Rows.Kit kit, long sections, long effects, List<Rows.Head> first) {}

  @GetMapping("/")
  String start() {
    return "redirect:/kits";
  }

  @GetMapping("/kits")
  String all(Model model) {
    model.addAttribute("cards", kits.counts().stream().map(this::card).toList());
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

  private Card card(Rows.Counts counts) {
    Rows.Kit kit = kits.kit(counts.kitId());
    return new Card(kit, counts.sections(), counts.effects(), shown(kits.filled(kit.id())));
  }

  /** One effect of each section in turn, then the second ones, until the card is full. */
  private static List<Rows.Head> shown(List<Rows.FilledSection> sections) {
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

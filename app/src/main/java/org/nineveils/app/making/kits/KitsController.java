package org.nineveils.app.making.kits;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page of all kits. */
@Controller
class KitsController {
  private static final int CARD_PICTURES = 4;

  /** Photos shown where they have just been hung, before there is a kit. */
  private static final int FIRST_PHOTOS = 8;

  private final KitService kits;
  private final PhotoService photos;
  private final ShownOn shown;
  private final Journal journal;

  KitsController(KitService kits, PhotoService photos, ShownOn shown, Journal journal) {
    this.kits = kits;
    this.photos = photos;
    this.shown = shown;
    this.journal = journal;
  }

  /** A kit with what its card on the first page shows, and the photo that stands for it. */
  record Card(Rows.Kit kit, long sections, long effects, List<Rows.Head> first, long cover) {}

  @GetMapping("/kits")
  String all(Model model) {
    List<Card> cards = cards();
    model.addAttribute("cards", cards);
    model.addAttribute("photoCount", photos.count(Side.WALL));
    if (cards.isEmpty()) {
      model.addAttribute("hanging", photos.all(Side.WALL).stream().limit(FIRST_PHOTOS).toList());
    }
    model.addAttribute("undo", Undo.of(journal, "kits"));
    return "making/kits/kits";
  }

  private List<Card> cards() {
    Map<Long, List<Rows.Head>> first =
        kits.firstOfKits(CARD_PICTURES).stream().collect(Collectors.groupingBy(Rows.Head::kitId));
    Map<Long, Rows.Counts> counts =
        kits.counts().stream().collect(Collectors.toMap(Rows.Counts::kitId, Function.identity()));
    return kits.kits().stream()
        .map(
            kit -> {
              Rows.Counts c = counts.getOrDefault(kit.id(), new Rows.Counts(kit.id(), 0, 0));
              return new Card(
                  kit,
                  c.sections(),
                  c.effects(),
                  first.getOrDefault(kit.id(), List.of()),
                  shown.cover(kit.id()));
            })
        .toList();
  }
}

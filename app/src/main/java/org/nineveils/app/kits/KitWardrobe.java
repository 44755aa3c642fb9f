package org.nineveils.app.kits;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.fitting.Wardrobe;
import org.nineveils.app.fitting.WardrobeSource;
import org.nineveils.app.photos.Side;
import org.nineveils.kit.Offer;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** Offers a kit, as it is now, to fittings on the test wall. */
@Component
class KitWardrobe implements WardrobeSource {
  private final KitService kits;
  private final WornRules rules;
  private final EffectService effects;

  KitWardrobe(KitService kits, WornRules rules, EffectService effects) {
    this.kits = kits;
    this.rules = rules;
    this.effects = effects;
  }

  @Override
  public String prefix() {
    return "kit";
  }

  @Override
  public List<Choice> choices() {
    return kits.kits().stream().map(k -> new Choice(prefix() + ":" + k.id(), k.name())).toList();
  }

  @Override
  public Wardrobe open(long id) {
    Rows.Kit kit = kits.kit(id);
    List<Wardrobe.Piece> pieces = new ArrayList<>();
    Map<String, Offer> offers = new HashMap<>();
    rules.offers(id).forEach(offer -> offers.put(offer.key(), offer));
    for (Rows.FilledSection filled : kits.filled(id)) {
      for (Rows.Head row : filled.effects()) {
        String small = String.format(Locale.ROOT, "/effects/%d/small?photo={photo}", row.id());
        Offer offer = offers.get(String.valueOf(row.id()));
        pieces.add(
            new Wardrobe.Piece(
                offer,
                small,
                row.favourite(),
                String.format(Locale.ROOT, "/api/effects/%d/favourite?", row.id())));
      }
    }
    return new Wardrobe(
        kit.name(), "/kits/" + id, Side.WALL, pieces, () -> shelves(kit), this::effect);
  }

  /** Sections of all kits, those of the one that is worn first. */
  private List<Wardrobe.Shelf> shelves(Rows.Kit own) {
    List<Wardrobe.Shelf> out = new ArrayList<>();
    List<Rows.Kit> all = new ArrayList<>(kits.kits());
    all.sort(java.util.Comparator.comparing(kit -> kit.id() != own.id()));
    for (Rows.Kit kit : all) {
      for (Rows.Section section : kits.sections(kit.id())) {
        String label = section.number() + " " + section.name();
        out.add(new Wardrobe.Shelf(section.id(), label, kit.name()));
      }
    }
    return out;
  }

  private Effect effect(String key) {
    return effects.find(Long.parseLong(key)).map(effects::effect).orElse(null);
  }
}

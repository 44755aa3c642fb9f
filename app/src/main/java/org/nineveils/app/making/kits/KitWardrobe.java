package org.nineveils.app.making.kits;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import java.util.function.Supplier;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.wear.fitting.Wardrobe;
import org.nineveils.app.wear.fitting.WardrobeSource;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
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
        kit.name(), "/kits/" + id, Side.WALL, pieces, () -> keepers(kit), reading(id));
  }

  /** Sections of all kits, those of the one that is worn first. */
  private List<Wardrobe.Keeper> keepers(Rows.Kit own) {
    List<Wardrobe.Keeper> out = new ArrayList<>();
    List<Rows.Kit> all = new ArrayList<>(kits.kits());
    all.sort(java.util.Comparator.comparing(kit -> kit.id() != own.id()));
    for (Rows.Kit kit : all) {
      for (Rows.Section section : kits.sections(kit.id())) {
        String label = section.number() + " " + section.name();
        out.add(new Wardrobe.Keeper(section.id(), label, kit.name()));
      }
    }
    return out;
  }

  /** Effects of a kit by their keys: all documents in one look, each read once. */
  private Function<String, Effect> reading(long kitId) {
    Map<String, Effect> read = new ConcurrentHashMap<>();
    Supplier<Map<Long, String>> docs = once(() -> effects.docs(kitId));
    return key ->
        read.computeIfAbsent(
            key,
            k -> {
              String doc = docs.get().get(Long.parseLong(k));
              return doc == null ? null : EffectJson.parse(Json.read(doc, "The effect"));
            });
  }

  private static <T> Supplier<T> once(Supplier<T> from) {
    AtomicReference<T> kept = new AtomicReference<>();
    return () -> kept.updateAndGet(there -> there == null ? from.get() : there);
  }
}

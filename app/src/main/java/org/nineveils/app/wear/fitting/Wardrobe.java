package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import org.nineveils.kit.Against;
import org.nineveils.kit.Offer;
import org.nineveils.veil.Effect;

/**
 * What a fitting can put on: the effects of a kit on the maker's side, those of a release at the
 * desk.
 *
 * @param title name on the screen
 * @param back address of the page that it belongs to
 * @param side whose photos it is worn by
 * @param pieces effects in order of sections
 * @param keepers gives the sections that an effect can be kept in, read only when they are asked
 *     for; none at the desk
 * @param others what is worn with it, whose pieces are among its own; none where it stands alone
 * @param read gives the effect of a piece by its key; read only when it is asked for
 */
public record Wardrobe(
    String title,
    String back,
    org.nineveils.app.photo.photos.Side side,
    List<Piece> pieces,
    Supplier<List<Keeper>> keepers,
    List<WardrobeSource.Choice> others,
    Function<String, Effect> read) {

  /** One that stands alone. */
  public Wardrobe(
      String title,
      String back,
      org.nineveils.app.photo.photos.Side side,
      List<Piece> pieces,
      Supplier<List<Keeper>> keepers,
      Function<String, Effect> read) {
    this(title, back, side, pieces, keepers, List.of(), read);
  }

  /**
   * A section that an effect can be kept in.
   *
   * @param section its id
   * @param label number and name
   * @param kit name of its kit
   */
  public record Keeper(long section, String label, String kit) {}

  /**
   * One effect on offer.
   *
   * @param offer key, name and place
   * @param small address of a small picture; “{photo}” stands for the id of the photo
   * @param favourite marked by whoever has it
   * @param favour address that marks it, which takes “is”
   */
  public record Piece(Offer offer, String small, boolean favourite, String favour) {
    /** This as it is offered where another wardrobe is the fitting's own. */
    Piece worn(String wardrobe, String title, int from) {
      Offer other =
          new Offer(
              new OtherKey(wardrobe, offer.key()).written(),
              offer.name(),
              from + offer.section(),
              title + ", " + offer.sectionName(),
              offer.rule(),
              offer.position(),
              offer.against().stream()
                  .map(a -> new Against(from + a.section(), a.asks()))
                  .toList());
      return new Piece(other, small, favourite, favour);
    }
  }

  /** More sections than a release has: keeps those of wardrobes that are worn together apart. */
  private static final int SECTIONS_EACH = 10_000;

  /**
   * This with others, whose effects go over its own in the order of the others.
   *
   * @param others by name, “prefix:id”; the keys of their effects begin with it
   */
  Wardrobe with(Map<String, Wardrobe> others) {
    List<Piece> all = new ArrayList<>(pieces);
    int from = SECTIONS_EACH;
    for (Map.Entry<String, Wardrobe> other : others.entrySet()) {
      for (Piece piece : other.getValue().pieces()) {
        all.add(piece.worn(other.getKey(), other.getValue().title(), from));
      }
      from += SECTIONS_EACH;
    }
    Function<String, Effect> reading =
        key ->
            OtherKey.parse(key)
                .map(
                    k ->
                        others.containsKey(k.wardrobe())
                            ? others.get(k.wardrobe()).read().apply(k.key())
                            : null)
                .orElseGet(() -> read.apply(key));
    List<WardrobeSource.Choice> named = new ArrayList<>();
    others.forEach((name, other) -> named.add(new WardrobeSource.Choice(name, other.title())));
    return new Wardrobe(title, back, side, all, keepers, named, reading);
  }

  /** Offers by key, in the order of the sections. */
  public Map<String, Offer> offers() {
    Map<String, Offer> byKey = new LinkedHashMap<>();
    pieces.forEach(p -> byKey.put(p.offer().key(), p.offer()));
    return byKey;
  }

  /** Effect by key, null where there is none; each is read once, and only if it is asked for. */
  public Function<String, Effect> effects() {
    Map<String, Offer> offers = offers();
    Map<String, Effect> known = new HashMap<>();
    return key -> offers.containsKey(key) ? known.computeIfAbsent(key, k -> read.apply(k)) : null;
  }
}

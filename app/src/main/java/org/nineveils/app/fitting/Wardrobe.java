package org.nineveils.app.fitting;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
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
 * @param shelves gives the sections that an effect can be kept in, read only when they are asked
 *     for; none at the desk
 * @param read gives the effect of a piece by its key; read only when it is asked for
 */
public record Wardrobe(
    String title,
    String back,
    org.nineveils.app.photos.Side side,
    List<Piece> pieces,
    Supplier<List<Shelf>> shelves,
    Function<String, Effect> read) {

  /**
   * A section that an effect can be kept in.
   *
   * @param section its id
   * @param label number and name
   * @param kit name of its kit
   */
  public record Shelf(long section, String label, String kit) {}

  /**
   * One effect on offer.
   *
   * @param offer key, name and place
   * @param small address of a small picture; “{photo}” stands for the id of the photo
   * @param favourite marked by the maker
   */
  public record Piece(Offer offer, String small, boolean favourite) {}

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

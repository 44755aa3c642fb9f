package org.nineveils.app.fitting;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
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
 */
public record Wardrobe(
    String title, String back, org.nineveils.app.photos.Side side, List<Piece> pieces) {

  /**
   * One effect on offer.
   *
   * @param offer key, name and place
   * @param effect veils and note
   * @param small address of a small picture; “{photo}” stands for the id of the photo
   */
  public record Piece(Offer offer, Effect effect, String small) {}

  /** Offers by key. */
  public Map<String, Offer> offers() {
    return pieces.stream().collect(Collectors.toMap(p -> p.offer().key(), Piece::offer));
  }

  /** Effect by key, null where there is none. */
  public Function<String, Effect> effects() {
    Map<String, Effect> byKey =
        pieces.stream().collect(Collectors.toMap(p -> p.offer().key(), Piece::effect));
    return byKey::get;
  }
}

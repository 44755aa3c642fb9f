package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.springframework.stereotype.Service;

/**
 * Moves all that photos wear of one wardrobe to another that has taken its place: opacities, dials,
 * masks, paint, pins. What the other does not have is worn on from the first one.
 */
@Service
public class Moves {
  /** Nothing that goes into a key: keeps new keys apart from old ones while both are there. */
  private static final String MEANWHILE = "\u0001";

  private final FittingStore fittings;
  private final MoveStore store;

  Moves(FittingStore fittings, MoveStore store) {
    this.fittings = fittings;
    this.store = store;
  }

  /**
   * Photos that wear something of a wardrobe.
   *
   * @return ids of photos by the key of the effect in that wardrobe
   */
  public Map<String, List<Long>> wearing(String wardrobe) {
    Map<String, List<Long>> out = new LinkedHashMap<>();
    for (FittingRow row : store.wearing(wardrobe)) {
      for (Worn worn : parsed(row.doc()).worn()) {
        String key = own(row.wardrobe(), worn.effect(), wardrobe);
        if (key != null) {
          out.computeIfAbsent(key, k -> new ArrayList<>()).add(row.photoId());
        }
      }
    }
    return out;
  }

  /** The key of a worn effect in a wardrobe; null where it is of another. */
  private static String own(String wornIn, String key, String wardrobe) {
    return OtherKey.parse(key)
        .map(k -> k.wardrobe().equals(wardrobe) ? k.key() : null)
        .orElse(wornIn.equals(wardrobe) ? key : null);
  }

  /**
   * Moves it, within the edit that is running.
   *
   * @param from name of a wardrobe, “prefix:id”
   * @param to the one that takes its place
   * @param keys keys of effects in the new one by those in the old one
   * @return how many fittings stay with the old one, since their photos wear of the new one already
   */
  public int move(String from, String to, Map<String, String> keys) {
    int left = 0;
    for (FittingRow row : store.wearing(from)) {
      boolean own = row.wardrobe().equals(from);
      FittingRow there = own ? fittings.find(to, row.photoId()).orElse(null) : null;
      if (there != null && !parsed(there.doc()).worn().isEmpty()) {
        left++;
        continue;
      }
      UnaryOperator<String> key = k -> moved(k, own, from, to, keys);
      keyed(row, key);
      if (there != null) {
        // it wears nothing now, but its pins, and what it wore, are work
        store.adopt(there.id(), row.id(), taken(row, key));
        store.remove(there.id());
      }
      store.move(row.id(), own ? to : row.wardrobe(), written(parsed(row.doc()).keyed(key)));
    }
    store.together(from, to);
    return left;
  }

  private static String moved(
      String key, boolean own, String from, String to, Map<String, String> keys) {
    OtherKey other = OtherKey.parse(key).orElse(null);
    if (other != null && !other.wardrobe().equals(from)) {
      return own && other.wardrobe().equals(to) ? other.key() : key;
    }
    String old = other == null ? key : other.key();
    if (other == null && !own) {
      return key; // of the fitting's own wardrobe, which is neither
    }
    String now = keys.get(old);
    if (now == null) {
      return new OtherKey(from, old).written();
    }
    return own ? now : new OtherKey(to, now).written();
  }

  /** Keys by which a fitting has something of an effect, once it is keyed. */
  private List<String> taken(FittingRow row, UnaryOperator<String> key) {
    List<String> out = new ArrayList<>(store.known(row.id()));
    parsed(row.doc()).worn().forEach(w -> out.add(key.apply(w.effect())));
    return out;
  }

  /** Paint, what was laid by, and pins under their new keys. */
  private void keyed(FittingRow row, UnaryOperator<String> key) {
    List<String> known = store.known(row.id());
    known.forEach(k -> store.rename(row.id(), k, MEANWHILE + key.apply(k)));
    known.forEach(k -> store.rename(row.id(), MEANWHILE + key.apply(k), key.apply(k)));
    for (PinStore.Pin pin : store.pins(row.id())) {
      store.change(pin.id(), written(parsed(pin.doc()).keyed(key)));
    }
  }

  private static Fitting parsed(String doc) {
    return FittingJson.parse(Json.read(doc, "The fitting"));
  }

  private static String written(Fitting fitting) {
    return Json.write(FittingJson.format(fitting));
  }
}

package org.nineveils.app.wear.fitting;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/**
 * Looks apart from the fitting that they were worn in: each effect goes by a key that names its
 * wardrobe too, {@code release:3#path}.
 */
@Component
public class Anywhere {
  private static final char BETWEEN = '#';

  private final Wardrobes wardrobes;

  Anywhere(Wardrobes wardrobes) {
    this.wardrobes = wardrobes;
  }

  /** What a fitting of that wardrobe wears, by keys that hold anywhere. */
  public static Fitting apart(String wardrobe, Fitting worn) {
    return worn.keyed(
        key -> OtherKey.parse(key).isPresent() ? key : new OtherKey(wardrobe, key).written());
  }

  /** A look as a fitting of that wardrobe wears it. */
  public static Fitting within(String wardrobe, Fitting look) {
    return look.keyed(
        key ->
            OtherKey.parse(key)
                .filter(other -> other.wardrobe().equals(wardrobe))
                .map(OtherKey::key)
                .orElse(key));
  }

  /** First part of a key: the name of its wardrobe. */
  public static String wardrobeOf(String key) {
    return key.substring(0, Math.max(0, key.indexOf(BETWEEN)));
  }

  /** Second part of a key: what the effect goes by in its wardrobe. */
  public static String ownKey(String key) {
    return key.substring(key.indexOf(BETWEEN) + 1);
  }

  /** A key of the effect that goes by the same in another wardrobe. */
  public static String key(String wardrobe, String ownKey) {
    return wardrobe + BETWEEN + ownKey;
  }

  /** What an effect is offered as, by key; null where it or its wardrobe is gone. */
  public Function<String, Offer> offers() {
    return each(wardrobe -> wardrobe.offers()::get);
  }

  /** Effect by key; null where it or its wardrobe is gone. */
  public Function<String, Effect> effects() {
    return each(Wardrobe::effects);
  }

  /** Something of an effect by its key; each wardrobe is opened once. */
  private <T> Function<String, T> each(Function<Wardrobe, Function<String, T>> of) {
    Map<String, Function<String, T>> open = new HashMap<>();
    return key ->
        open.computeIfAbsent(
                wardrobeOf(key), name -> wardrobes.found(name).map(of).orElse(none -> null))
            .apply(ownKey(key));
  }
}

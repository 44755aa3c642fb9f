package org.nineveils.app.wear.looks;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.nineveils.app.wear.fitting.Anywhere;
import org.nineveils.kit.Fitting;
import org.springframework.stereotype.Service;

/**
 * Lets looks follow what their effects are of: as it is updated, taken off the desk and taken in
 * again. All of it happens within the edit that is running.
 */
@Service
public class OwnLookKeys {
  /** Name of the wardrobe of what has left the desk, before what stands for it. */
  private static final String GONE = "gone:";

  private final OwnLookStore store;

  OwnLookKeys(OwnLookStore store) {
    this.store = store;
  }

  /**
   * A wardrobe has taken another's place.
   *
   * @param keys keys of effects in the new one by those in the old one; others stay with the old
   */
  public void move(String from, String to, Map<String, String> keys) {
    changeAll(
        look ->
            keyed(
                look,
                from,
                own -> keys.containsKey(own) ? Anywhere.key(to, keys.get(own)) : null,
                look.gone()));
  }

  /**
   * A wardrobe leaves the desk.
   *
   * @param stamp stands for what is in it, so that it is known when it comes back
   * @param title on screens
   */
  public void leaves(String wardrobe, String stamp, String title) {
    changeAll(
        look -> {
          Map<String, String> gone = new LinkedHashMap<>(look.gone());
          gone.put(GONE + stamp, title);
          return keyed(look, wardrobe, own -> Anywhere.key(GONE + stamp, own), gone);
        });
  }

  /** What left the desk is there again, as that wardrobe. */
  public void comesBack(String stamp, String wardrobe) {
    changeAll(
        look -> {
          Map<String, String> gone = new LinkedHashMap<>(look.gone());
          gone.remove(GONE + stamp);
          return keyed(look, GONE + stamp, own -> Anywhere.key(wardrobe, own), gone);
        });
  }

  /** The look with other keys for effects of a wardrobe; the same where none is of it. */
  private static OwnLook keyed(
      OwnLook old, String wardrobe, UnaryOperator<String> key, Map<String, String> gone) {
    List<String> of = new ArrayList<>();
    Fitting now =
        old.look()
            .keyed(
                written -> {
                  if (!Anywhere.wardrobeOf(written).equals(wardrobe)) {
                    return written;
                  }
                  of.add(written);
                  return Optional.ofNullable(key.apply(Anywhere.ownKey(written))).orElse(written);
                });
    return of.isEmpty()
        ? old
        : new OwnLook(old.id(), old.name(), now, old.photoId(), gone, old.code());
  }

  private void changeAll(UnaryOperator<OwnLook> change) {
    for (OwnLook old : store.all()) {
      OwnLook now = change.apply(old);
      if (!now.equals(old)) {
        store.rekey(now);
      }
    }
  }
}

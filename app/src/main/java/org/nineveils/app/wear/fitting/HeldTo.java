package org.nineveils.app.wear.fitting;

import java.util.Optional;
import org.nineveils.proof.Limits;

/** A feature that knows which limits effects of its wardrobes are held to. */
public interface HeldTo {
  /**
   * The limits of an effect.
   *
   * @param wardrobe its name, “prefix:id”
   * @param key of the effect in it
   * @return empty where the wardrobe is another feature's
   */
  Optional<Limits> limits(String wardrobe, String key);
}

package org.nineveils.stack;

import java.util.List;
import java.util.Map;
import org.nineveils.mask.Paint;
import org.nineveils.veil.Veil;

/**
 * An effect as worn: its veils, what was painted for them, and one opacity over all.
 *
 * @param veils nearest to the plain photo first
 * @param paint paint by id of veil; veils that are not named have none
 * @param opacity 0…1 for the bundle as a whole
 */
public record Bundle(List<Veil> veils, Map<String, Paint> paint, double opacity) {
  public Bundle {
    veils = List.copyOf(veils);
    paint = Map.copyOf(paint);
    Veil.checkOpacity("Effect", opacity);
  }

  /** Veils without paint, at full opacity. */
  public static Bundle of(List<Veil> veils) {
    return new Bundle(veils, Map.of(), 1);
  }
}

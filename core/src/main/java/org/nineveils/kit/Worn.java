package org.nineveils.kit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.mask.Paint;
import org.nineveils.stack.Bundle;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * An effect as a photo wears it: what the fitting changed, never the effect itself.
 *
 * @param effect key of the effect
 * @param opacity of the bundle, 0…1
 * @param lifted bundle switched off
 * @param changes what was changed of single veils, by id
 * @param paint what was brushed, by id of veil
 */
public record Worn(
    String effect,
    double opacity,
    boolean lifted,
    Map<String, VeilChange> changes,
    Map<String, Paint> paint) {

  /**
   * Opacity and state of one veil in this fitting.
   *
   * @param opacity 0…1
   * @param lifted switched off
   */
  public record VeilChange(double opacity, boolean lifted) {
    public VeilChange {
      Veil.checkOpacity("Veil", opacity);
    }
  }

  public Worn {
    Veil.checkOpacity("Effect", opacity);
    changes = Map.copyOf(changes);
    paint = Map.copyOf(paint);
  }

  /** An effect just put on: fully down, nothing changed, nothing painted. */
  public static Worn fresh(String effect) {
    return new Worn(effect, 1, false, Map.of(), Map.of());
  }

  /** This with one more stroke on a veil. */
  public Worn painted(String veilId, Paint more) {
    Map<String, Paint> all = new LinkedHashMap<>(paint);
    all.put(veilId, more);
    return new Worn(effect, opacity, lifted, changes, all);
  }

  /** The bundle that is rendered. */
  public Bundle bundle(Effect of) {
    List<Veil> veils =
        of.veils().stream()
            .map(
                veil -> {
                  VeilChange change = changes.get(veil.id());
                  return change == null
                      ? veil
                      : veil.withOpacity(change.opacity()).withLifted(change.lifted());
                })
            .toList();
    return new Bundle(veils, paint, lifted ? 0 : opacity);
  }
}

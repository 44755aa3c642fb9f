package org.nineveils.kit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.stack.Bundle;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * An effect as a photo wears it: what the fitting changed, never the effect itself.
 *
 * @param effect key of the effect
 * @param opacity of the bundle, 0…1
 * @param lifted bundle switched off
 * @param changes what was changed of single veils, by id
 * @param paint what was brushed, by id of veil; {@link #WHOLE} for the effect as a whole
 * @param byBrush the effect starts hidden as a whole and is brushed on; masks and rules of its
 *     veils go on within that
 */
public record Worn(
    String effect,
    double opacity,
    boolean lifted,
    Map<String, VeilChange> changes,
    Map<String, Paint> paint,
    boolean byBrush) {

  /** Key of the paint by which an effect as a whole is brushed on or off. */
  public static final String WHOLE = "*";

  /**
   * Opacity, state and dials of one veil in this fitting.
   *
   * @param opacity 0…1
   * @param lifted switched off
   * @param dials values that the photographer turned dials to, by key of the setting
   */
  public record VeilChange(double opacity, boolean lifted, Map<String, Double> dials) {
    public VeilChange {
      Veil.checkOpacity("Veil", opacity);
      dials = Map.copyOf(dials);
    }

    /** No dial turned. */
    public VeilChange(double opacity, boolean lifted) {
      this(opacity, lifted, Map.of());
    }
  }

  public Worn {
    Veil.checkOpacity("Effect", opacity);
    changes = Map.copyOf(changes);
    paint = Map.copyOf(paint);
  }

  /** Worn as the effect's own masks say. */
  public Worn(
      String effect,
      double opacity,
      boolean lifted,
      Map<String, VeilChange> changes,
      Map<String, Paint> paint) {
    this(effect, opacity, lifted, changes, paint, false);
  }

  /** An effect just put on: fully down, nothing changed, nothing painted. */
  public static Worn fresh(String effect) {
    return new Worn(effect, 1, false, Map.of(), Map.of());
  }

  /** This with one more stroke on a veil. */
  public Worn painted(String veilId, Paint more) {
    Map<String, Paint> all = new LinkedHashMap<>(paint);
    all.put(veilId, more);
    return new Worn(effect, opacity, lifted, changes, all, byBrush);
  }

  /** This without any paint. */
  public Worn unpainted() {
    return new Worn(effect, opacity, lifted, changes, Map.of(), byBrush);
  }

  /** A veil as this fitting changed it; dials that the effect no longer has are let be. */
  public Veil changed(Veil veil, Effect of) {
    VeilChange change = changes.get(veil.id());
    if (change == null) {
      return veil;
    }
    Map<String, Double> numbers = new LinkedHashMap<>();
    for (Dial dial : of.dials()) {
      Double wanted = dial.veil().equals(veil.id()) ? change.dials().get(dial.key()) : null;
      if (wanted != null) {
        numbers.put(dial.key(), dial.within(wanted));
      }
    }
    return veil.withOpacity(change.opacity()).withLifted(change.lifted()).withNumbers(numbers);
  }

  /** The bundle that is rendered. */
  public Bundle bundle(Effect of) {
    List<Veil> veils = of.veils().stream().map(veil -> uncovered(changed(veil, of))).toList();
    Mask mask = byBrush ? Mask.BRUSH_ON : Mask.EVERYWHERE;
    Paint cover = paint.getOrDefault(WHOLE, Paint.NONE);
    return new Bundle(veils, paint, lifted ? 0 : opacity, mask, cover, of.edition());
  }

  /** Where the whole is brushed on, a veil that waits for the brush does not wait for another. */
  private Veil uncovered(Veil veil) {
    boolean waits = veil.mask().cover() == Cover.BRUSH_ON && !paint.containsKey(veil.id());
    return byBrush && waits ? veil.withMask(Mask.EVERYWHERE) : veil;
  }
}

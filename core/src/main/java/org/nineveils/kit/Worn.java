package org.nineveils.kit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.refusal.Refusal;
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
 * @param masks where this fitting lets veils cover otherwise than the effect does, by id of veil;
 *     {@link #WHOLE} for the effect as a whole
 */
public record Worn(
    String effect,
    double opacity,
    boolean lifted,
    Map<String, VeilChange> changes,
    Map<String, Paint> paint,
    boolean byBrush,
    Map<String, Mask> masks) {

  /** Key of the mask and the paint by which an effect as a whole is brushed on or off. */
  public static final String WHOLE = "*";

  private static final String AGAIN = "+";
  private static final String AGAIN_WORD = " again";

  /**
   * Opacity, state and dials of one veil in this fitting.
   *
   * @param opacity 0…1
   * @param lifted switched off
   * @param dials values that the photographer turned dials to, by key of the setting
   * @param doubled the veil hangs twice, the second one covering as the first
   */
  public record VeilChange(
      double opacity, boolean lifted, Map<String, Double> dials, boolean doubled) {
    public VeilChange {
      Veil.checkOpacity("Veil", opacity);
      dials = Map.copyOf(dials);
    }

    /** Hanging once. */
    public VeilChange(double opacity, boolean lifted, Map<String, Double> dials) {
      this(opacity, lifted, dials, false);
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
    masks = Map.copyOf(masks);
    if (masks.values().stream().anyMatch(Mask::follows)) {
      throw new Refusal("In a fitting a mask is its own and follows no other veil.");
    }
  }

  /** Worn with the masks that the effect has. */
  public Worn(
      String effect,
      double opacity,
      boolean lifted,
      Map<String, VeilChange> changes,
      Map<String, Paint> paint,
      boolean byBrush) {
    this(effect, opacity, lifted, changes, paint, byBrush, Map.of());
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

  /** An effect just put on, fully down: nothing changed, nothing painted. */
  public static Worn fresh(String effect) {
    return fresh(effect, 1);
  }

  /** The same at the opacity that it goes on at. */
  public static Worn fresh(String effect, double start) {
    return new Worn(effect, start, false, Map.of(), Map.of());
  }

  /** This with one more stroke on a veil. */
  public Worn painted(String veilId, Paint more) {
    Map<String, Paint> all = new LinkedHashMap<>(paint);
    all.put(veilId, more);
    return withPaint(all);
  }

  /** This with that paint and no other. */
  public Worn withPaint(Map<String, Paint> all) {
    return new Worn(effect, opacity, lifted, changes, all, byBrush, masks);
  }

  /** This by another key of its effect. */
  Worn as(String key) {
    return new Worn(key, opacity, lifted, changes, paint, byBrush, masks);
  }

  /** This lifted or not, and where wanted hidden as a whole until it is brushed on. */
  public Worn hung(boolean isLifted, boolean hidden) {
    return new Worn(effect, opacity, isLifted, changes, paint, byBrush || hidden, masks);
  }

  /** This at a share of its opacity, 0…1. */
  Worn eased(double share) {
    return new Worn(effect, opacity * share, lifted, changes, paint, byBrush, masks);
  }

  /** This without any paint. */
  public Worn unpainted() {
    return withPaint(Map.of());
  }

  /** This with another mask of a veil, or of the whole. */
  public Worn masked(String veilId, Mask mask) {
    Map<String, Mask> all = new LinkedHashMap<>(masks);
    all.put(veilId, mask);
    return new Worn(effect, opacity, lifted, changes, paint, byBrush, all);
  }

  /** This with some of its veils lifted. */
  public Worn lifting(Set<String> veils, Effect of) {
    Map<String, VeilChange> all = new LinkedHashMap<>(changes);
    for (Veil veil : of.veils()) {
      if (veils.contains(veil.id())) {
        VeilChange own = all.getOrDefault(veil.id(), new VeilChange(veil.opacity(), true));
        all.put(veil.id(), new VeilChange(own.opacity(), true, own.dials(), own.doubled()));
      }
    }
    return new Worn(effect, opacity, lifted, all, paint, byBrush, masks);
  }

  /** Where the effect as a whole is seen. */
  public Mask whole() {
    return masks.getOrDefault(WHOLE, byBrush ? Mask.BRUSH_ON : Mask.EVERYWHERE);
  }

  /**
   * A veil as this fitting changed it: opacity, lifted or not, dials, mask; dials that the effect
   * no longer has are let be.
   */
  public Veil changed(Veil own, Effect of) {
    Veil veil = masks.containsKey(own.id()) ? own.withMask(masks.get(own.id())) : own;
    VeilChange change = changes.get(veil.id());
    if (change == null) {
      return veil;
    }
    Map<String, Double> numbers = new LinkedHashMap<>();
    for (Dial dial : of.dials()) {
      Double wanted = dial.veil().equals(veil.id()) ? change.dials().get(dial.key()) : null;
      if (wanted != null && dial.reaches(own, veil)) {
        numbers.put(dial.key(), dial.within(wanted));
      }
    }
    return veil.withOpacity(change.opacity()).withLifted(change.lifted()).withNumbers(numbers);
  }

  /** The bundle that is rendered. */
  public Bundle bundle(Effect of) {
    List<Veil> veils =
        of.veils().stream().flatMap(v -> hung(uncovered(changed(v, of))).stream()).toList();
    Paint cover = paint.getOrDefault(WHOLE, Paint.NONE);
    return new Bundle(veils, paint, lifted ? 0 : opacity, whole(), cover, of.edition());
  }

  /** Whether a veil hangs twice in this fitting. */
  public boolean isDoubled(String veil) {
    return changes.containsKey(veil) && changes.get(veil).doubled();
  }

  private List<Veil> hung(Veil veil) {
    return isDoubled(veil.id()) ? List.of(veil, again(veil, veil.id() + AGAIN)) : List.of(veil);
  }

  /** A veil once more, covering where the first one does. */
  static Veil again(Veil veil, String id) {
    Mask mask = veil.mask().follows() ? veil.mask() : Mask.as(veil.id());
    String name = veil.name() + AGAIN_WORD;
    String fits = name.length() > Veil.MAX_NAME ? veil.name() : name;
    return new Veil(
        id,
        fits,
        veil.kind(),
        veil.settings(),
        veil.blend(),
        veil.opacity(),
        veil.lifted(),
        mask,
        "");
  }

  /** Where the whole is brushed on, a veil that waits for the brush does not wait for another. */
  private Veil uncovered(Veil veil) {
    boolean waits =
        whole().startsHidden()
            && veil.mask().cover() == Cover.BRUSH_ON
            && !paint.containsKey(veil.id());
    return waits ? veil.withMask(Mask.EVERYWHERE) : veil;
  }
}

package org.nineveils.stack;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * An effect as worn: its veils, what was painted for them, and how much of it all is seen: one
 * opacity and one coverage, by which what the veils made is mixed with what was below them.
 *
 * @param veils nearest to the plain photo first; one that covers as another does is given that
 *     one's mask and paint, so that no veil of a bundle follows another
 * @param paint paint by id of veil; veils that are not named have none
 * @param opacity 0…1 for the bundle as a whole
 * @param mask where the bundle as a whole covers
 * @param cover paint on that mask
 * @param edition of the engine that the effect was made with
 */
public record Bundle(
    List<Veil> veils,
    Map<String, Paint> paint,
    double opacity,
    Mask mask,
    Paint cover,
    int edition) {
  public Bundle {
    Followers own = Followers.resolved(veils, paint);
    veils = own.veils();
    paint = own.paint();
    Veil.checkOpacity("Effect", opacity);
  }

  /** Veils of today's edition that cover the whole picture. */
  public Bundle(List<Veil> veils, Map<String, Paint> paint, double opacity) {
    this(veils, paint, opacity, Mask.EVERYWHERE, Paint.NONE, Editions.current());
  }

  /** An effect over the whole picture. */
  public static Bundle of(Effect effect, Map<String, Paint> paint, double opacity) {
    return new Bundle(
        effect.veils(), paint, opacity, Mask.EVERYWHERE, Paint.NONE, effect.edition());
  }

  /** An effect as it goes on. */
  public static Bundle of(Effect effect, Map<String, Paint> paint) {
    return of(effect, paint, effect.start());
  }

  /** The veil of that id, as it is rendered. */
  public Optional<Veil> veil(String id) {
    return veils.stream().filter(v -> v.id().equals(id)).findFirst();
  }

  /** Whether nothing of it is seen anywhere. */
  boolean isHidden() {
    return opacity == 0 || (mask.cover() == Cover.BRUSH_ON && cover.isEmpty());
  }

  /** Whether it is mixed with what is below. */
  boolean isMixed() {
    return opacity < 1 || mask.cover() != Cover.EVERYWHERE || !cover.isEmpty();
  }

  /** The same around other veils. */
  public Bundle withVeils(List<Veil> other) {
    return new Bundle(other, paint, opacity, mask, cover, edition);
  }

  /** Veils without paint, at full opacity. */
  public static Bundle of(List<Veil> veils) {
    return new Bundle(veils, Map.of(), 1);
  }
}

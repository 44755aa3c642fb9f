package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.BlendMode;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/**
 * One thing that is done to the picture: a veil, or the mixing of a bundle with what was below it.
 * Two stacks whose items are equal give equal pictures.
 *
 * @param kind sort of adjustment; null for the end of a bundle
 * @param settings of the veil
 * @param blend of the veil
 * @param opacity of the veil or of the bundle
 * @param mask of the veil or of the bundle
 * @param paint of the veil or of the bundle
 * @param opens what lies below this veil is wanted again at the end of its bundle
 * @param edition of the engine that the bundle was made with
 */
record Item(
    VeilKind kind,
    SettingValues settings,
    BlendMode blend,
    double opacity,
    Mask mask,
    Paint paint,
    boolean opens,
    int edition) {

  /** What a stack comes to, with everything left out that changes nothing. */
  static List<Item> of(Stack stack) {
    List<Item> items = new ArrayList<>();
    for (Bundle bundle : stack.bundles()) {
      if (bundle.isHidden()) {
        continue;
      }
      boolean mixed = bundle.isMixed();
      boolean first = true;
      for (Veil veil : bundle.veils()) {
        Paint paint = bundle.paint().getOrDefault(veil.id(), Paint.NONE);
        if (!changesNothing(veil, paint)) {
          items.add(of(veil, paint, mixed && first, bundle.edition()));
          first = false;
        }
      }
      if (mixed && !first) {
        items.add(endOf(bundle));
      }
    }
    return items;
  }

  private static Item of(Veil v, Paint paint, boolean opens, int edition) {
    return new Item(
        v.kind(), v.settings(), v.blend(), v.opacity(), v.mask(), paint, opens, edition);
  }

  private static Item endOf(Bundle b) {
    return new Item(null, null, null, b.opacity(), b.mask(), b.cover(), false, b.edition());
  }

  private static boolean changesNothing(Veil veil, Paint paint) {
    return veil.lifted()
        || veil.opacity() == 0
        || (veil.mask().cover() == Cover.BRUSH_ON && paint.isEmpty())
        || (veil.blend() == BlendMode.NORMAL && veil.kind().isIdentity(veil.settings()));
  }

  /** Whether this is the end of a bundle. */
  boolean closes() {
    return kind == null;
  }

  /** Whether it covers the whole picture alike. */
  boolean isEverywhere() {
    return mask.cover() == Cover.EVERYWHERE && paint.isEmpty();
  }

  /** Whether it makes each colour from that colour alone. */
  boolean isColourOnly() {
    return !closes() && isEverywhere() && kind.isColourOnly(settings);
  }

  /** Whether it makes red from red, green from green and blue from blue alone. */
  boolean isPerChannel() {
    return isColourOnly() && blend.isSeparable() && kind.isPerChannel(settings);
  }

  /** Whether two items are the same but for what is painted. */
  boolean equalsButPaint(Item other) {
    return unpainted().equals(other.unpainted());
  }

  /** The same without what is painted. */
  Item unpainted() {
    return new Item(kind, settings, blend, opacity, mask, Paint.NONE, opens, edition);
  }
}

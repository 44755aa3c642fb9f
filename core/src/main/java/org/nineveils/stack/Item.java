package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.blend.BlendMode;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.veil.Veil;

/**
 * One thing that is done to the picture: a veil, or the mixing of a bundle with what was below it.
 * Two stacks whose items are equal give equal pictures.
 */
sealed interface Item permits VeilItem, EndItem {
  /** Share, 0…1, of the veil or of the bundle. */
  double opacity();

  Mask mask();

  Paint paint();

  /** Edition of the engine that the bundle was made with. */
  int edition();

  /** The same without what is painted. */
  Item unpainted();

  /** Whether what lies below it is wanted again at the end of its bundle. */
  default boolean opens() {
    return false;
  }

  /** Whether it makes each colour from that colour alone. */
  default boolean isColourOnly() {
    return false;
  }

  /** Whether it makes red from red, green from green and blue from blue alone. */
  default boolean isPerChannel() {
    return false;
  }

  /** Whether it covers the whole picture alike. */
  default boolean isEverywhere() {
    return mask().cover() == Cover.EVERYWHERE && paint().isEmpty();
  }

  /** Whether two items are the same but for what is painted. */
  default boolean equalsButPaint(Item other) {
    return unpainted().equals(other.unpainted());
  }

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
          items.add(VeilItem.of(veil, paint, mixed && first, bundle.edition()));
          first = false;
        }
      }
      if (mixed && !first) {
        items.add(EndItem.of(bundle));
      }
    }
    return items;
  }

  private static boolean changesNothing(Veil veil, Paint paint) {
    return veil.lifted()
        || veil.opacity() == 0
        || (veil.mask().cover() == Cover.BRUSH_ON && paint.isEmpty())
        || (veil.blend() == BlendMode.NORMAL && veil.kind().isIdentity(veil.settings()));
  }
}

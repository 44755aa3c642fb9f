package org.nineveils.release.table;

import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

/** Tables of colours: a picture of every node, sent through the engine as any other picture is. */
public final class Lattices {
  private Lattices() {}

  /**
   * The table of what travels of an effect, at its start opacity.
   *
   * @param side nodes along an axis, 2 or more
   * @param bend nodes lie at the bend-th power of even steps: 1 for even ones, more for finer ones
   *     near black
   * @param shelf with the pictures that its veils use
   * @return side² × side pixels, red running fastest, then green, then blue
   */
  public static Picture of(Effect effect, int side, double bend, PictureShelf shelf) {
    Effect travels = effect.withVeils(Travel.of(effect).veils());
    Picture nodes = even(side, bend);
    Stack stack = Stack.of(Bundle.of(travels, java.util.Map.of()));
    return Renderer.render(nodes, nodes.area(), stack, Manner.exact().picturesFrom(shelf));
  }

  /** The table that changes nothing. */
  static Picture even(int side, double bend) {
    Picture p = Picture.blank(side * side, side);
    float[] at = new float[side];
    for (int i = 0; i < side; i++) {
      at[i] = (float) Math.pow(i / (double) (side - 1), bend);
    }
    for (int i = 0; i < side * side * side; i++) {
      p.r()[i] = at[i % side];
      p.g()[i] = at[i / side % side];
      p.b()[i] = at[i / side / side];
    }
    return p;
  }

  /**
   * The same entries as a square picture.
   *
   * @param table of l² nodes along an axis
   * @param level l, 2 or more
   * @return l³ × l³ pixels
   */
  static Picture square(Picture table, int level) {
    int edge = level * level * level;
    return new Picture(edge, edge, table.r(), table.g(), table.b());
  }
}

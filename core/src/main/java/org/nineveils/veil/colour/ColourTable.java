package org.nineveils.veil.colour;

import java.util.Optional;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.Limits;
import org.nineveils.veil.NodeTable;

/**
 * A colour table from elsewhere, kept as a picture: its pixels, row by row, are the entries, red
 * running fastest, then green, then blue. Any picture of side³ pixels is one: the square pictures
 * known as HALD (level l: side l², l³ × l³ pixels) and the strip of side² × side that a text table
 * is kept as.
 */
public final class ColourTable {
  /** Most entries along an axis. */
  public static final int MOST = Limits.TABLE_SIDE;

  private ColourTable() {}

  /** Entries along an axis of the table that a picture is; empty where it is none. */
  public static Optional<Integer> side(Picture picture) {
    long pixels = (long) picture.width() * picture.height();
    int side = (int) Math.round(Math.cbrt((double) pixels));
    boolean cube = (long) side * side * side == pixels && side >= 2 && side <= MOST;
    return cube ? Optional.of(side) : Optional.empty();
  }

  /** The table that a picture is; empty where it is none. */
  static Optional<NodeTable> of(Picture picture) {
    return side(picture).map(side -> new NodeTable(side, nodes(picture, side)));
  }

  /** From red fastest to blue fastest. */
  private static float[] nodes(Picture p, int side) {
    float[] nodes = new float[side * side * side * 4];
    int pixel = 0;
    for (int b = 0; b < side; b++) {
      for (int g = 0; g < side; g++) {
        for (int r = 0; r < side; r++, pixel++) {
          int at = ((r * side + g) * side + b) * 4;
          nodes[at] = p.r()[pixel];
          nodes[at + 1] = p.g()[pixel];
          nodes[at + 2] = p.b()[pixel];
        }
      }
    }
    return nodes;
  }
}

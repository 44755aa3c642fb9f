package org.nineveils.table;

import java.util.Locale;
import java.util.Optional;
import org.nineveils.kernel.NodeTable;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.InputLimits;
import org.nineveils.refusal.Refusal;

/**
 * A colour table from elsewhere, kept as a picture: its pixels, row by row, are the entries, red
 * running fastest, then green, then blue. Any picture of side³ pixels is one: the square pictures
 * known as HALD (level l: side l², l³ × l³ pixels) and the strip of side² × side that a text table
 * is kept as.
 */
public final class ColourTable {
  /** Most entries along an axis. */
  public static final int MOST = InputLimits.TABLE_SIDE;

  private ColourTable() {}

  /** Entries along an axis of the table that a picture is; empty where it is none. */
  public static Optional<Integer> side(Picture picture) {
    long pixels = (long) picture.width() * picture.height();
    int side = (int) Math.round(Math.cbrt((double) pixels));
    boolean cube = (long) side * side * side == pixels && side >= 2 && side <= MOST;
    return cube ? Optional.of(side) : Optional.empty();
  }

  /** The table that a picture is; empty where it is none. */
  public static Optional<NodeTable> of(Picture picture) {
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

  /**
   * A table picture with its entries in order. Some lay a table out as tiles, one for each blue
   * with red across and green down; which it is shows in the colours, since neighbours in a table
   * are alike.
   *
   * @param name of the file, for messages
   * @return the picture itself where it is in order
   * @throws Refusal with a sentence if it is no table, or its layout cannot be told
   */
  public static Picture ordered(Picture picture, String name) {
    int side =
        side(picture)
            .orElseThrow(
                () ->
                    new Refusal(
                        String.format(
                            Locale.ROOT,
                            "“%s” is no colour table: it has %d × %d pixels, which is no cube of up to %d entries.",
                            name,
                            picture.width(),
                            picture.height(),
                            MOST)));
    if (picture.width() % side != 0 || picture.height() % side != 0) {
      return picture;
    }
    Picture untiled = untiled(picture, side);
    double inOrder = roughness(picture, side);
    double inTiles = roughness(untiled, side);
    if (Math.max(inOrder, inTiles) > 0
        && Math.max(inOrder, inTiles) < CLEARLY * Math.min(inOrder, inTiles)) {
      throw new Refusal(
          "“%s” is no colour table that can be read: its colours do not show how the entries are laid out."
              .formatted(name));
    }
    return inTiles < inOrder ? untiled : picture;
  }

  /** How much rougher the wrong layout is at least. */
  private static final double CLEARLY = 1.3;

  private static Picture untiled(Picture p, int side) {
    Picture out = Picture.blank(side * side, side);
    int across = p.width() / side;
    int to = 0;
    for (int b = 0; b < side; b++) {
      for (int g = 0; g < side; g++) {
        int from = (b / across * side + g) * p.width() + b % across * side;
        System.arraycopy(p.r(), from, out.r(), to, side);
        System.arraycopy(p.g(), from, out.g(), to, side);
        System.arraycopy(p.b(), from, out.b(), to, side);
        to += side;
      }
    }
    return out;
  }

  /** Mean step between neighbours along the three axes. */
  private static double roughness(Picture p, int side) {
    double sum = 0;
    int n = side * side * side;
    for (int step : new int[] {1, side, side * side}) {
      for (int i = 0; i < n; i++) {
        if (i / step % side < side - 1) {
          sum +=
              Math.abs(p.r()[i + step] - p.r()[i])
                  + Math.abs(p.g()[i + step] - p.g()[i])
                  + Math.abs(p.b()[i + step] - p.b()[i]);
        }
      }
    }
    return sum / n;
  }
}

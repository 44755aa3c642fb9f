package org.nineveils.release.table;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.filter.Evenly;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

/**
 * How near a table comes to the effect that it stands for, on photos: ΔE00 (CIE 142; G. Sharma, W.
 * Wu, E. Dalal, 2005) of every pixel that is looked at.
 *
 * @param mean over all photos
 * @param high 99th percentile over all photos
 */
public record Fit(double mean, double high) {
  /** One of so many pixels is compared. */
  private static final int EVERY = 7;

  /**
   * Measures a table against the whole effect, with all that stays behind.
   *
   * @param photos at the size at which they are compared; none for colours spread over the range
   */
  public static Fit of(
      Effect effect, TableFormat format, List<Picture> photos, PictureShelf shelf) {
    Picture table = Lattices.of(effect, format.side(), format.bend(), shelf);
    Stack stack = Stack.of(Bundle.of(effect, Map.of()));
    List<Picture> tried = photos.isEmpty() ? List.of(colours()) : photos;
    double[] all = new double[tried.stream().mapToInt(p -> looked(p)).sum()];
    int n = 0;
    for (Picture photo : tried) {
      Picture own = Renderer.render(photo, photo.area(), stack, Manner.exact().picturesFrom(shelf));
      for (int i : Evenly.some(photo.r().length, EVERY)) {
        float[] theirs =
            Tetrahedra.at(
                table, format.side(), format.bend(), photo.r()[i], photo.g()[i], photo.b()[i]);
        all[n++] =
            Ciede2000.between(
                Lab.ofSrgb(own.r()[i], own.g()[i], own.b()[i]),
                Lab.ofSrgb(theirs[0], theirs[1], theirs[2]));
      }
    }
    Arrays.sort(all);
    return new Fit(Arrays.stream(all).average().orElse(0), all[(int) (0.99 * (all.length - 1))]);
  }

  /** Whether nobody sees the difference: below 0.5 on average, below 2 for 99 of 100 pixels. */
  public boolean isClose() {
    return mean <= 0.5 && high <= 2;
  }

  /** Colours spread over the range, dark ones as often as light ones. */
  private static Picture colours() {
    int side = 24;
    Picture out = Picture.blank(side * side, side);
    for (int i = 0; i < side * side * side; i++) {
      int row = i / side;
      int layer = row / side;
      out.r()[i] = (i % side + 0.37f) / side;
      out.g()[i] = (row % side + 0.61f) / side;
      out.b()[i] = (layer + 0.23f) / side;
    }
    return out;
  }

  private static int looked(Picture photo) {
    return (photo.r().length + EVERY - 1) / EVERY;
  }
}

package org.nineveils.release.table;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Shelf;
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
  /** Every so many pixels are compared; odd, so that no column is left out. */
  private static final int EVERY = 7;

  /**
   * Measures a table against the whole effect, with all that stays behind.
   *
   * @param photos at the size at which they are compared
   * @return zeros where there is no photo
   */
  public static Fit of(Effect effect, TableFormat format, List<Picture> photos, Shelf shelf) {
    Picture table = Lattices.of(effect, format.side(), format.bend(), shelf);
    Stack stack = Stack.of(Bundle.of(effect, Map.of()));
    double[] all = new double[photos.stream().mapToInt(p -> looked(p)).sum()];
    int n = 0;
    for (Picture photo : photos) {
      Picture own = Renderer.render(photo, photo.area(), stack, Manner.exact().picturesFrom(shelf));
      for (int i = 0; i < photo.r().length; i += EVERY) {
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
    return all.length == 0
        ? new Fit(0, 0)
        : new Fit(Arrays.stream(all).average().orElse(0), all[(int) (0.99 * (all.length - 1))]);
  }

  private static int looked(Picture photo) {
    return (photo.r().length + EVERY - 1) / EVERY;
  }
}

package org.nineveils.proof.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Picture;

/** A place of a photo at its own size, before and after. */
record View(Plain plain, int index, Seen before, Seen now, double border) {
  /**
   * All of a photo.
   *
   * @param whole what is seen of the finished picture as a whole
   */
  static List<View> of(Plain plain, Finished made, Seen whole) {
    if (made.closeUps().size() != plain.closeUps().size()) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "a photo with %d close-ups has %d finished ones",
              plain.closeUps().size(),
              made.closeUps().size()));
    }
    List<View> out = new ArrayList<>();
    for (int i = 0; i < made.closeUps().size(); i++) {
      Picture now = made.closeUps().get(i);
      Seen before = plain.close(i);
      if (!before.picture().area().equals(now.area())) {
        throw new IllegalArgumentException("a close-up keeps its size");
      }
      Seen seen = now.equals(whole.picture()) ? whole : new Seen(now, before.longSide());
      out.add(new View(plain, i, before, seen, made.border()));
    }
    return out;
  }

  /** Pixels that belong to a region; see {@link Plain#within}. */
  boolean[] members(String region) {
    float[] cover = plain.regions().get(region);
    return cover == null
        ? new boolean[before.picture().area().pixels()]
        : within("region " + region, () -> cover);
  }

  /** Pixels where a plane over the whole picture is ½ or more, away from where it was cut. */
  boolean[] within(String name, Supplier<float[]> whole) {
    return plain.within(index, name, whole);
  }

  /** Pixels that belong, without those that a frame covers. */
  boolean[] open(boolean[] members) {
    if (border == 0) {
      return members;
    }
    CloseUp cut = plain.closeUps().get(index);
    double wide = border * cut.longSide() + 2; // and the pixels on its edge
    int w = cut.pixels().width();
    boolean[] out = members.clone();
    for (int i = 0; i < out.length; i++) {
      int x = cut.x() + i % w;
      int y = cut.y() + i / w;
      int near = Math.min(Math.min(x, cut.width() - 1 - x), Math.min(y, cut.height() - 1 - y));
      out[i] &= near >= wide;
    }
    return out;
  }

  /** Pixels away from where it was cut. */
  boolean[] all() {
    return within(
        "all",
        () -> {
          float[] ones = new float[plain.picture().area().pixels()];
          java.util.Arrays.fill(ones, 1);
          return ones;
        });
  }

  /** A blur of so many pixels at least, as a share of the long side. */
  double share(double share, double pixels) {
    return Math.max(share, pixels / before.longSide());
  }
}

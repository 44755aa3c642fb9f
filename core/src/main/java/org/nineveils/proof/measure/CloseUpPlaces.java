package org.nineveils.proof.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.picture.Area;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Picture;
import org.nineveils.region.Regions;

/**
 * The places of a photo that are looked at in its own size: where it is flat and dark, and flat and
 * light (noise shows there), where its edges are strongest (seams), and where most of its skin, fur
 * and lashes is (detail). One place serves for several where it is nearly as good.
 */
final class CloseUpPlaces {
  /** Pixels of a side. */
  static final int SIDE = 192;

  /** Pixels from where it was cut that are not judged: what a veil sees ends there. */
  static final int MARGIN = 24;

  private static final float DARK = 0.35f;

  /** Luma that a pixel beside a strong edge differs from its surroundings by. */
  private static final float STRONG = 0.04f;

  private static final double AROUND = 0.006;

  /** Of what the best place shows, what another must show to serve for it. */
  private static final double NEARLY = 0.75;

  /** Share of a place that must show something for it to be looked at. */
  private static final double LEAST = 0.05;

  private CloseUpPlaces() {}

  static List<CloseUp> of(Picture photo, Picture small, Map<String, float[]> regions) {
    Seen seen = new Seen(small);
    float[] luma = seen.luma();
    float[] flat = FlatParts.of(seen);
    float[] around = seen.blurred(AROUND);
    List<float[]> subjects = new ArrayList<>();
    float[] dark = new float[flat.length];
    float[] light = new float[flat.length];
    float[] edges = new float[flat.length];
    for (int i = 0; i < flat.length; i++) {
      dark[i] = luma[i] < DARK ? flat[i] : 0;
      light[i] = luma[i] < DARK ? 0 : flat[i];
      edges[i] = Math.abs(luma[i] - around[i]) >= STRONG ? 1 : 0;
    }
    for (String name : List.of(Regions.SKIN, Regions.FUR, Regions.LASHES)) {
      if (regions.containsKey(name)) {
        subjects.add(regions.get(name));
      }
    }
    subjects.addAll(List.of(edges, dark, light));
    Area window = window(photo, small);
    List<int[]> places = new ArrayList<>();
    for (float[] subject : subjects) {
      Sums sums = new Sums(subject, small.width(), small.height(), window);
      int[] best = sums.best();
      double most = sums.at(best);
      boolean served = places.stream().anyMatch(p -> sums.at(p) >= NEARLY * most);
      if (most >= LEAST * window.pixels() && !served) {
        places.add(best);
      }
    }
    if (places.isEmpty()) {
      places.add(
          new int[] {(small.width() - window.width()) / 2, (small.height() - window.height()) / 2});
    }
    return places.stream().map(p -> cut(photo, small, p)).toList();
  }

  /** What is judged of a close-up, in the small picture. */
  private static Area window(Picture photo, Picture small) {
    double share = small.longSide() / (double) photo.longSide();
    int side = (int) Math.max(1, Math.round((SIDE - 2 * MARGIN) * share));
    return new Area(0, 0, Math.min(side, small.width()), Math.min(side, small.height()));
  }

  private static CloseUp cut(Picture photo, Picture small, int[] place) {
    int w = Math.min(SIDE, photo.width());
    int h = Math.min(SIDE, photo.height());
    int x = (int) ((long) place[0] * photo.width() / small.width());
    int y = (int) ((long) place[1] * photo.height() / small.height());
    return CloseUp.of(
        photo, new Area(Math.min(x, photo.width() - w), Math.min(y, photo.height() - h), w, h));
  }

  /** Sums of a plane over a window at every place. */
  private static final class Sums {
    private final double[] table;
    private final int width;
    private final int height;
    private final Area window;

    Sums(float[] plane, int width, int height, Area window) {
      this.width = width;
      this.height = height;
      this.window = window;
      table = new double[(width + 1) * (height + 1)];
      for (int y = 0; y < height; y++) {
        double row = 0;
        for (int x = 0; x < width; x++) {
          row += plane[y * width + x];
          table[(y + 1) * (width + 1) + x + 1] = table[y * (width + 1) + x + 1] + row;
        }
      }
    }

    double at(int[] place) {
      int top = place[1] * (width + 1);
      int below = (place[1] + window.height()) * (width + 1);
      int right = place[0] + window.width();
      return table[below + right]
          - table[below + place[0]]
          - table[top + right]
          + table[top + place[0]];
    }

    int[] best() {
      int[] best = {0, 0};
      double most = -1;
      for (int y = 0; y + window.height() <= height; y++) {
        for (int x = 0; x + window.width() <= width; x++) {
          int[] place = {x, y};
          double sum = at(place);
          if (sum > most) {
            most = sum;
            best = place;
          }
        }
      }
      return best;
    }
  }
}

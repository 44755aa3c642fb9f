package org.nineveils.region;

import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.Refusal;

/**
 * The regions of one photo.
 *
 * @param all in the order of the list; no two of a name or an id, at most one that is what is left
 */
public record PhotoRegions(List<PhotoRegion> all) {
  /** Most regions of a photo. */
  public static final int MOST = 24;

  /** A photo of which nothing is known. */
  public static final PhotoRegions NONE = new PhotoRegions(List.of());

  public PhotoRegions {
    all = List.copyOf(all);
    if (all.size() > MOST) {
      throw new Refusal(String.format(Locale.ROOT, "A photo has at most %d regions.", MOST));
    }
    Set<String> ids = new HashSet<>();
    Set<String> names = new HashSet<>();
    for (PhotoRegion region : all) {
      if (!ids.add(region.id())) {
        throw new Refusal("Two regions have the same id “%s”.".formatted(region.id()));
      }
      if (!names.add(Names.key(region.name()))) {
        throw new Refusal("This photo has a region “%s” already.".formatted(region.name()));
      }
    }
    if (all.stream().filter(PhotoRegion::left).count() > 1) {
      throw new Refusal("Only one region can be what is left.");
    }
  }

  /**
   * Where every region lies.
   *
   * @param paint what was painted, by id of the region
   * @param plain the whole plain photo at the size that is wanted
   * @param pictures gives grey pictures by their names, or null where there is none
   * @return coverage of every pixel, 0…1, by id; what is left is Π (1 − coverage) of the others
   */
  public Map<String, float[]> covers(
      Map<String, Paint> paint, Picture plain, Function<String, Picture> pictures) {
    Map<String, float[]> out = new LinkedHashMap<>();
    float[] left = new float[plain.area().pixels()];
    Arrays.fill(left, 1);
    for (PhotoRegion region : all) {
      if (region.left()) {
        out.put(region.id(), left); // filled by the others, in this loop and after it
        continue;
      }
      float[] cover = cover(region, paint, plain, pictures);
      out.put(region.id(), cover);
      for (int i = 0; i < left.length; i++) {
        left[i] *= 1 - cover[i];
      }
    }
    return out;
  }

  /** Where one region lies that is not what is left. */
  private static float[] cover(
      PhotoRegion region,
      Map<String, Paint> paint,
      Picture plain,
      Function<String, Picture> pictures) {
    Paint own = paint.getOrDefault(region.id(), Paint.NONE);
    float[] painted = Painter.cover(region.mask(), own, plain, plain.area()).values();
    Picture grey = region.picture().isEmpty() ? null : pictures.apply(region.picture());
    return grey == null ? painted : over(Grey.sized(grey, plain.area()), own, painted, plain);
  }

  /**
   * Paint over a picture. A stroke moves the coverage c to c + (t − c) · α, so what all of them
   * make of c is a straight line through what they make of 0 and of 1.
   */
  private static float[] over(float[] grey, Paint paint, float[] ofNothing, Picture plain) {
    if (paint.strokes().isEmpty()) {
      return grey;
    }
    float[] ofAll = Painter.cover(Mask.EVERYWHERE, paint, plain, plain.area()).values();
    for (int i = 0; i < grey.length; i++) {
      grey[i] = ofNothing[i] + (ofAll[i] - ofNothing[i]) * grey[i];
    }
    return grey;
  }

  /** Share of the picture that a region takes, 0…1. */
  public static double share(float[] cover) {
    double sum = 0;
    for (float v : cover) {
      sum += v;
    }
    return sum / cover.length;
  }
}

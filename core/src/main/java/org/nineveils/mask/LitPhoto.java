package org.nineveils.mask;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.filter.Evenly;
import org.nineveils.picture.Picture;

/**
 * What of a small photo serves whatever colours are looked for: its parts, and some of its pixels
 * in each light that it may have been taken in. It keeps no plane of the photo, so that it can be
 * kept for as long as the photo is.
 *
 * @param lab L*, a*, b* of every pixel, as it is
 * @param parts of like colour
 * @param of parts of the pixels that are looked at
 * @param lights the first is the photo as it is
 * @param found what was found last
 */
@SuppressWarnings("ArrayRecordComponent") // made here, never compared
record LitPhoto(
    float[][] lab, Clusters parts, int[] of, List<Light> lights, Map<SkinColours, float[]> found) {
  /** One of so many pixels is looked at to choose by. */
  private static final int EVERY = 7;

  /** Colours that are kept, so that a slider's way does not fill the memory. */
  private static final int KEPT = 6;

  /**
   * A light.
   *
   * @param grey linear red, green and blue of what is grey in it
   * @param some L*, a*, b* of the pixels that are looked at
   */
  @SuppressWarnings("ArrayRecordComponent") // made here, never compared
  record Light(double[] grey, float[][] some) {}

  static LitPhoto of(Picture photo) {
    float[][] lab = SmallPhoto.lab(photo);
    Clusters parts = Clusters.of(photo, lab);
    int[] places = Evenly.some(photo.r().length, EVERY);
    Picture some = some(photo, places);
    int[] of = new int[places.length];
    for (int i = 0; i < of.length; i++) {
      of[i] = parts.of()[places[i]];
    }
    List<Light> lights =
        CastOut.guesses(photo, lab).stream()
            .map(grey -> new Light(grey, SmallPhoto.toLab(CastOut.without(some, grey))))
            .toList();
    Map<SkinColours, float[]> found =
        new LinkedHashMap<>(16, 0.75f, true) {
          private static final long serialVersionUID = 1;

          @Override
          protected boolean removeEldestEntry(Map.Entry<SkinColours, float[]> eldest) {
            return size() > KEPT;
          }
        };
    return new LitPhoto(lab, parts, of, lights, found);
  }

  /** What is found by colours, worked out unless it was among the last. */
  float[] once(SkinColours colours, Function<SkinColours, float[]> find) {
    synchronized (found) {
      return found.computeIfAbsent(colours, find);
    }
  }

  /** L*, a*, b* of every pixel in a light. */
  float[][] whole(Picture photo, Light light) {
    return light.equals(lights.get(0))
        ? lab
        : SmallPhoto.toLab(CastOut.without(photo, light.grey()));
  }

  /** Some pixels in a row: enough to choose by. */
  private static Picture some(Picture p, int[] places) {
    Picture out = Picture.blank(places.length, 1);
    for (int i = 0; i < places.length; i++) {
      out.r()[i] = p.r()[places[i]];
      out.g()[i] = p.g()[places[i]];
      out.b()[i] = p.b()[places[i]];
    }
    return out;
  }
}

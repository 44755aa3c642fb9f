package org.nineveils.proof.measure;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;
import org.nineveils.colour.LabLoops;
import org.nineveils.colour.Luma;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.filter.Gaussian;
import org.nineveils.picture.Picture;

/**
 * A picture as measures look at it: what several of them need is worked out once. For any threads.
 */
final class Seen {
  private final Picture picture;
  private final Map<String, Object> known = new HashMap<>();

  Seen(Picture picture) {
    this.picture = picture;
  }

  Picture picture() {
    return picture;
  }

  /** Works something out, or gives what was worked out under that name before. */
  @SuppressWarnings("unchecked") // what is known under a name was made by the same caller
  synchronized <T> T once(String name, Supplier<T> make) {
    Object found = known.get(name);
    if (found == null) {
      found = make.get();
      known.put(name, found);
    }
    return (T) found;
  }

  /** L*, a*, b* of every pixel. */
  float[][] lab() {
    return once(
        "lab",
        () -> {
          float[][] planes = copied();
          LabLoops.fromSrgb(planes[0], planes[1], planes[2], work(), pixels());
          return planes;
        });
  }

  /** Luma of every pixel, encoded. */
  float[] luma() {
    return once(
        "luma",
        () -> {
          float[] out = new float[pixels()];
          Luma.run(picture.r(), picture.g(), picture.b(), out, out.length);
          return out;
        });
  }

  /** Chroma of every pixel in Oklab, about 0…0.33. */
  float[] chroma() {
    return once("chroma", this::chromas);
  }

  private float[] chromas() {
    float[][] planes = copied();
    float[][] work = work();
    for (int c = 0; c < 3; c++) {
      SrgbLoops.decode(planes[c], work[0], pixels());
      System.arraycopy(work[0], 0, planes[c], 0, pixels());
    }
    Oklab.fromLinear(planes[0], planes[1], planes[2], work, pixels());
    for (int i = 0; i < pixels(); i++) {
      float a = planes[1][i];
      float b = planes[2][i];
      planes[0][i] = (float) Math.sqrt(a * a + b * b);
    }
    return planes[0];
  }

  /**
   * Luma blurred.
   *
   * @param share standard deviation, share of the long side
   */
  float[] blurred(double share) {
    return once(
        "blurred " + share,
        () -> Gaussian.whole(luma(), picture.area(), share * picture.longSide()));
  }

  private float[][] copied() {
    return new float[][] {picture.r().clone(), picture.g().clone(), picture.b().clone()};
  }

  private float[][] work() {
    return new float[3][pixels()];
  }

  private int pixels() {
    return picture.area().pixels();
  }
}

package org.nineveils.proof.measure;

import org.nineveils.filter.Gaussian;
import org.nineveils.picture.Picture;

/**
 * Where a plain photo is flat: a blur of 6 ‰ of the long side lies within 2 codes of one of 12 ‰,
 * and what is finer than 3 ‰ varies by less than 3 codes, so that weave and fur are not taken for
 * it. Decided at the size of proofs.
 */
final class FlatParts {
  private static final double FINE = 0.003;
  private static final double NEAR = 0.006;
  private static final double FAR = 0.012;
  private static final double FLAT = 2.0 / 255;
  private static final double SMOOTH = 3.0 / 255;

  private FlatParts() {}

  /** 1 where it is flat, 0 elsewhere. */
  static float[] of(Seen plain) {
    return plain.once("flat parts", () -> found(plain));
  }

  private static float[] found(Seen plain) {
    float[] near = plain.blurred(NEAR);
    float[] far = plain.blurred(FAR);
    Picture p = plain.picture();
    float[] varies = Gaussian.whole(squares(plain), p.area(), FAR * p.longSide());
    float[] flat = new float[near.length];
    for (int i = 0; i < flat.length; i++) {
      flat[i] = Math.abs(near[i] - far[i]) < FLAT && varies[i] < SMOOTH * SMOOTH ? 1 : 0;
    }
    return flat;
  }

  /** What is finer, squared. */
  private static float[] squares(Seen seen) {
    float[] luma = seen.luma();
    float[] blurred = seen.blurred(FINE);
    float[] out = new float[luma.length];
    for (int i = 0; i < out.length; i++) {
      float d = luma[i] - blurred[i];
      out[i] = d * d;
    }
    return out;
  }
}

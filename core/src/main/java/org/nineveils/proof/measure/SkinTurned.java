package org.nineveils.proof.measure;

import org.nineveils.colour.Lab;

/**
 * How far the hue of skin has turned, redder or yellower: angle between the medians' a*, b* before
 * and after. Where either has next to no chroma the angle means nothing, as in a black-and-white.
 */
final class SkinTurned extends OfSkin {
  /** Chroma below which hue is not judged; skin in even light has 15 to 30. */
  static final double FAINT = 6;

  @Override
  public String id() {
    return "skin-turned";
  }

  @Override
  public String label() {
    return "Skin turned";
  }

  @Override
  public String unit() {
    return "°";
  }

  @Override
  public double limit() {
    return 12;
  }

  @Override
  Reading of(Lab before, Lab now, boolean colourless) {
    if (colourless) {
      return Colourless.notJudged();
    }
    if (chroma(before) < FAINT) {
      return Reading.not("the skin has hardly any colour on the plain photo");
    }
    if (chroma(now) < FAINT) {
      return Reading.not("hardly any colour is left in the skin");
    }
    return Reading.of(Math.abs(turn(before, now)));
  }

  private static double chroma(Lab lab) {
    return Math.hypot(lab.a(), lab.b());
  }

  /** Degrees from −180 to 180; above 0 towards yellow, below towards red. */
  static double turn(Lab before, Lab now) {
    double turn = Math.toDegrees(Math.atan2(now.b(), now.a()) - Math.atan2(before.b(), before.a()));
    return turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  }
}

package org.nineveils.proof.measure;

import org.nineveils.colour.Lab;

/** How much lighter or darker skin has become: difference of the median L*. */
final class SkinLightness extends OfSkin {
  @Override
  public String id() {
    return "skin-lightness";
  }

  @Override
  public String label() {
    return "Skin lightness";
  }

  @Override
  public String unit() {
    return "L*";
  }

  @Override
  public double limit() {
    return 14;
  }

  @Override
  Reading of(Lab before, Lab now, boolean colourless) {
    return Reading.of(Math.abs(now.l() - before.l()));
  }
}

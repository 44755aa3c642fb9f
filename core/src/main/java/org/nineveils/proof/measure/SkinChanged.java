package org.nineveils.proof.measure;

import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;

/**
 * How different skin looks: CIEDE2000 between its median colours before and after. Where the whole
 * picture has lost its colours, by its lightness alone.
 */
final class SkinChanged extends OfSkin {
  @Override
  public String id() {
    return "skin-changed";
  }

  @Override
  public String label() {
    return "Skin changed";
  }

  @Override
  public String word() {
    return "skin";
  }

  @Override
  public String unit() {
    return "ΔE00";
  }

  @Override
  public double limit() {
    return 10;
  }

  @Override
  Reading of(Lab before, Lab now, boolean colourless) {
    Lab from = colourless ? new Lab(before.l(), now.a(), now.b()) : before;
    return Reading.of(Ciede2000.between(from, now));
  }
}

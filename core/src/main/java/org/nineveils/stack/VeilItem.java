package org.nineveils.stack;

import org.nineveils.blend.BlendMode;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/**
 * A veil as it is worn.
 *
 * @param opens what lies below this veil is wanted again at the end of its bundle
 * @param edition of the engine that the bundle was made with
 */
record VeilItem(
    VeilKind kind,
    SettingValues settings,
    BlendMode blend,
    double opacity,
    Mask mask,
    Paint paint,
    boolean opens,
    int edition)
    implements Item {

  static VeilItem of(Veil v, Paint paint, boolean opens, int edition) {
    return new VeilItem(
        v.kind(), v.settings(), v.blend(), v.opacity(), v.mask(), paint, opens, edition);
  }

  @Override
  public boolean isColourOnly() {
    return isEverywhere() && kind.isColourOnly(settings);
  }

  @Override
  public boolean isPerChannel() {
    return isColourOnly() && blend.isSeparable() && kind.isPerChannel(settings);
  }

  @Override
  public VeilItem unpainted() {
    return new VeilItem(kind, settings, blend, opacity, mask, Paint.NONE, opens, edition);
  }
}

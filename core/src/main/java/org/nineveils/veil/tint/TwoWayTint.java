package org.nineveils.veil.tint;

import org.nineveils.kernel.Band;
import org.nineveils.setting.SettingValues;

/**
 * One colour for the shadows and one for the lights; see {@link Tint} for the formula.
 *
 * @param shadows offsets of red, green and blue in the shadows
 * @param lights the same in the lights
 * @param balance what is added to lightness before it is divided between the two, −½…½
 */
@SuppressWarnings("ArrayRecordComponent") // made here, read here
record TwoWayTint(float[] shadows, float[] lights, float balance) {

  /** The tint of these settings, or null where there is none. */
  static TwoWayTint of(SettingValues values) {
    double dark = values.share(Tint.SHADOW_TINT);
    double light = values.share(Tint.LIGHT_TINT);
    if (dark == 0 && light == 0) {
      return null;
    }
    return new TwoWayTint(
        TintKernel.offsets(values.number(Tint.SHADOW_HUE), dark),
        TintKernel.offsets(values.number(Tint.LIGHT_HUE), light),
        (float) (values.share(Tint.BALANCE) / 2));
  }

  /**
   * Tints n pixels.
   *
   * @param in 0…1, its colour is not changed
   * @param out receives 0…1
   * @param chroma scratch
   * @param share scratch
   */
  void run(Band in, Band out, int n, float[] chroma, float[] share) {
    TintKernel.middle(in.r, in.g, in.b, chroma, n);
    float shift = balance;
    for (int i = 0; i < n; i++) {
      share[i] = Math.min(1f, Math.max(0f, chroma[i] + shift));
    }
    for (int i = 0; i < n; i++) {
      share[i] = share[i] * share[i] * (3 - 2 * share[i]);
    }
    for (int i = 0; i < n; i++) {
      chroma[i] = 1 - Math.abs(2 * chroma[i] - 1);
    }
    plane(in.r, 0, chroma, share, out.r, n);
    plane(in.g, 1, chroma, share, out.g, n);
    plane(in.b, 2, chroma, share, out.b, n);
  }

  private void plane(float[] in, int c, float[] chroma, float[] share, float[] out, int n) {
    float dark = shadows[c];
    float more = lights[c] - dark;
    for (int i = 0; i < n; i++) {
      out[i] = in[i] + chroma[i] * (dark + more * share[i]);
    }
    for (int i = 0; i < n; i++) {
      out[i] = Math.min(1f, Math.max(0f, out[i]));
    }
  }
}

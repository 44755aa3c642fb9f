package org.nineveils.veil.overlay;

import org.nineveils.colour.Hsl;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Band;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;

/** The four parts one after the other; each is left out at amount 0. */
final class OverlayKernel implements Kernel {
  /** Light of the shaft at full warmth: a low sun. From memory, chosen by eye. */
  private static final float[] WARM = {1f, 0.8f, 0.52f};

  private final float flat;
  private final float[] flatColour;
  private final GradientWeight gradient;
  private final float[] gradientColour;
  private final ShaftWeight shaft;
  private final float[] shaftColour = new float[3];
  private final Grain grain;

  OverlayKernel(SettingValues v, Frame frame) {
    flat = (float) v.share(Overlay.FLAT);
    flatColour =
        Hsl.toRgb(
            v.number(Overlay.FLAT_HUE),
            v.share(Overlay.FLAT_SATURATION),
            v.share(Overlay.FLAT_LIGHTNESS));
    gradient = v.number(Overlay.GRADIENT) == 0 ? null : new GradientWeight(v, frame);
    gradientColour =
        Hsl.toRgb(
            v.number(Overlay.GRADIENT_HUE),
            v.share(Overlay.GRADIENT_SATURATION),
            v.share(Overlay.GRADIENT_LIGHTNESS));
    shaft = v.number(Overlay.SHAFT) == 0 ? null : new ShaftWeight(v, frame);
    for (int c = 0; c < 3; c++) {
      shaftColour[c] = (float) (1 + (WARM[c] - 1) * v.share(Overlay.SHAFT_WARMTH));
    }
    grain = v.number(Overlay.GRAIN) == 0 ? null : new Grain(v, frame);
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    out.copyFrom(in, n);
    if (flat != 0) {
      lay(out.r, flatColour[0], n);
      lay(out.g, flatColour[1], n);
      lay(out.b, flatColour[2], n);
    }
    if (gradient != null) {
      gradient.run(spare.t, n, x, y, spare.r, spare.g);
      lay(out.r, gradientColour[0], spare.t, n);
      lay(out.g, gradientColour[1], spare.t, n);
      lay(out.b, gradientColour[2], spare.t, n);
    }
    if (shaft != null) {
      shaft.run(spare.t, n, x, y, spare.r, spare.g);
      screen(out.r, shaftColour[0], spare.t, n);
      screen(out.g, shaftColour[1], spare.t, n);
      screen(out.b, shaftColour[2], spare.t, n);
    }
    if (grain != null) {
      grain.run(out, n, x, y, spare);
    }
  }

  private void lay(float[] plane, float colour, int n) {
    float share = flat;
    for (int i = 0; i < n; i++) {
      plane[i] += (colour - plane[i]) * share;
    }
  }

  private static void lay(float[] plane, float colour, float[] weight, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] += (colour - plane[i]) * weight[i];
    }
  }

  private static void screen(float[] plane, float colour, float[] weight, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] += (1 - plane[i]) * weight[i] * colour;
    }
  }
}

package org.nineveils.veil.overlay;

import org.nineveils.colour.Hsl;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.SettingValues;

/** The parts one after the other; each is left out at amount 0. */
final class OverlayKernel implements Kernel {
  /** Light of shaft and flare at full warmth: a low sun. From memory, chosen by eye. */
  private static final float[] WARM = {1f, 0.8f, 0.52f};

  private final PlacedPicture placed;
  private final float flat;
  private final float[] flatColour;
  private final GradientWeight gradient;
  private final float near;
  private final float[] nearColour;
  private final float far;
  private final float[] farColour;
  private final ShaftWeight shaft;
  private final float[] shaftColour;
  private final Flare flare;
  private final float[] flareColour;
  private final Grain grain;

  OverlayKernel(SettingValues v, Frame frame) {
    placed = PlacedPicture.of(v, frame);
    flat = (float) v.share(Overlay.FLAT);
    flatColour = colour(v, Overlay.FLAT_HUE, Overlay.FLAT_SATURATION, Overlay.FLAT_LIGHTNESS);
    near = (float) v.share(Overlay.GRADIENT);
    far = (float) v.share(Overlay.GRADIENT_END);
    gradient = near == 0 && far == 0 ? null : new GradientWeight(v, frame);
    nearColour =
        colour(v, Overlay.GRADIENT_HUE, Overlay.GRADIENT_SATURATION, Overlay.GRADIENT_LIGHTNESS);
    farColour =
        colour(
            v,
            Overlay.GRADIENT_END_HUE,
            Overlay.GRADIENT_END_SATURATION,
            Overlay.GRADIENT_END_LIGHTNESS);
    shaft = v.number(Overlay.SHAFT) == 0 ? null : new ShaftWeight(v, frame);
    shaftColour = warm(v.share(Overlay.SHAFT_WARMTH));
    flare = v.number(Overlay.FLARE) == 0 ? null : new Flare(v, frame);
    flareColour = warm(v.share(Overlay.FLARE_WARMTH));
    grain = v.number(Overlay.GRAIN) == 0 ? null : new Grain(v, frame);
  }

  private static float[] colour(
      SettingValues v, NumberSetting hue, NumberSetting saturation, NumberSetting lightness) {
    return Hsl.toRgb(v.number(hue), v.share(saturation), v.share(lightness));
  }

  private static float[] warm(double share) {
    float[] light = new float[3];
    for (int c = 0; c < 3; c++) {
      light[c] = (float) (1 + (WARM[c] - 1) * share);
    }
    return light;
  }

  @Override
  public long bytes() {
    return Kernel.super.bytes() + (placed == null ? 0 : placed.bytes());
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    out.copyFrom(in, n);
    if (placed != null) {
      placed.run(out, n, x, y);
    }
    if (flat != 0) {
      lay(out.r, flatColour[0], flat, n);
      lay(out.g, flatColour[1], flat, n);
      lay(out.b, flatColour[2], flat, n);
    }
    if (gradient != null) {
      gradient.run(spare.t, n, x, y, spare.r, spare.g);
      farEnd(spare.t, far, spare.r, n);
      lay(out, farColour, spare.r, n);
      nearEnd(spare.t, near, n);
      lay(out, nearColour, spare.t, n);
    }
    if (shaft != null) {
      shaft.run(spare.t, n, x, y, spare.r, spare.g);
      screen(out, shaftColour, spare.t, n);
    }
    if (flare != null) {
      flare.run(spare.t, n, x, y, spare.r, spare.g);
      screen(out, flareColour, spare.t, n);
    }
    if (grain != null) {
      grain.run(out, n, x, y, spare);
    }
  }

  private static void nearEnd(float[] w, float amount, int n) {
    for (int i = 0; i < n; i++) {
      w[i] *= amount;
    }
  }

  private static void farEnd(float[] w, float amount, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = (1 - w[i]) * amount;
    }
  }

  private static void lay(float[] plane, float colour, float share, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] += (colour - plane[i]) * share;
    }
  }

  private static void lay(Band out, float[] colour, float[] weight, int n) {
    lay(out.r, colour[0], weight, n);
    lay(out.g, colour[1], weight, n);
    lay(out.b, colour[2], weight, n);
  }

  private static void lay(float[] plane, float colour, float[] weight, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] += (colour - plane[i]) * weight[i];
    }
  }

  private static void screen(Band out, float[] colour, float[] weight, int n) {
    screen(out.r, colour[0], weight, n);
    screen(out.g, colour[1], weight, n);
    screen(out.b, colour[2], weight, n);
  }

  private static void screen(float[] plane, float colour, float[] weight, int n) {
    for (int i = 0; i < n; i++) {
      plane[i] += (1 - plane[i]) * weight[i] * colour;
    }
  }
}

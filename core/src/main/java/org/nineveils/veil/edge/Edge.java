package org.nineveils.veil.edge;

import java.util.List;
import java.util.Map;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.Handle;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Leaning;
import org.nineveils.veil.VeilKind;

/**
 * Vignette and spotlight with a movable centre.
 *
 * <p>Works in linear light: the border is darkened or lightened as by exposure, out = in ·
 * 2^(amount · w), so its colours stay those of the photo and never turn to black paint. The weight
 * w rises smoothly (3t² − 2t³) from 0 at {@code reach} to 1 over the width {@code softness}, both
 * shares of the distance from the centre of the frame to its corner. {@code roundness} goes from an
 * ellipse of the picture's proportions (0) to a circle (100). The frame is laid over it; see {@link
 * FrameBorder}.
 */
public final class Edge implements VeilKind {
  public static final NumberSetting AMOUNT =
      new NumberSetting("amount", "Amount", "Vignette", "stops", -4, 2, 0.05, 0.0);
  public static final NumberSetting REACH =
      new NumberSetting("reach", "Clear middle", "Vignette", "%", 0, 100, 1, 40.0);
  public static final NumberSetting SOFTNESS =
      new NumberSetting("softness", "Softness", "Vignette", "%", 1, 150, 1, 60.0);
  public static final NumberSetting ROUNDNESS =
      new NumberSetting("roundness", "Roundness", "Vignette", "%", 0, 100, 1, 30.0);
  public static final NumberSetting CENTRE_X =
      new NumberSetting("centreX", "Centre, from left", "Centre", "%", 0, 100, 0.5, 50.0);
  public static final NumberSetting CENTRE_Y =
      new NumberSetting("centreY", "Centre, from top", "Centre", "%", 0, 100, 0.5, 50.0);

  public static final NumberSetting FRAME = frame("frame", "Width", "%", 15, 0.1, 0);
  public static final NumberSetting FRAME_HUE = frame("frameHue", "Hue", "°", 360, 1, 40);
  public static final NumberSetting FRAME_SATURATION =
      frame("frameSaturation", "Saturation", "%", 100, 1, 0);
  public static final NumberSetting FRAME_LIGHTNESS =
      frame("frameLightness", "Lightness", "%", 100, 1, 100);
  public static final NumberSetting LINE = frame("line", "Inner line", "%", 2, 0.05, 0);

  private static NumberSetting frame(
      String key, String label, String unit, double max, double step, double start) {
    return new NumberSetting(key, label, "Frame", unit, 0, max, step, start);
  }

  @Override
  public String id() {
    return "edge";
  }

  @Override
  public String label() {
    return "Edge";
  }

  @Override
  public String purpose() {
    return "vignette and spotlight with a movable centre, frame";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("amount", -2.2, "reach", 25);
  }

  @Override
  public List<Handle> handles() {
    return List.of(
        Handle.point("Middle of the vignette", AMOUNT, CENTRE_X, CENTRE_Y)
            .reaching(REACH, Handle.Ruler.HALF_DIAGONAL));
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(
        AMOUNT,
        REACH,
        SOFTNESS,
        ROUNDNESS,
        CENTRE_X,
        CENTRE_Y,
        FRAME,
        FRAME_HUE,
        FRAME_SATURATION,
        FRAME_LIGHTNESS,
        LINE);
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame, int edition) {
    return new EdgeKernel(values, frame);
  }

  @Override
  public Leaning leaning(SettingValues values) {
    return List.of(AMOUNT, FRAME).stream()
            .anyMatch(s -> Math.abs(values.number(s)) > Math.abs(s.start()))
        ? Leaning.EDGE
        : Leaning.NONE;
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return false;
  }

  @Override
  public boolean isIdentity(SettingValues values) {
    return values.number(AMOUNT) == 0 && values.number(FRAME) == 0;
  }

  @Override
  public double border(SettingValues values) {
    return FrameBorder.border(values);
  }
}

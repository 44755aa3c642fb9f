package org.nineveils.table;

import java.util.Locale;
import java.util.Optional;

/** The steps of Common LUT Format files that are no tables. */
final class ClfSteps {
  /** Weights of ITU-R BT.709, by which an ASC CDL takes saturation. */
  private static final double[] LUMA = {0.2126, 0.7152, 0.0722};

  private ClfSteps() {}

  /** Three rows of three weights, or of three and an offset. */
  static ClfNode matrix(ClfNode.Source s) {
    double[] m = s.array();
    if (m.length != 9 && m.length != 12) {
      throw s.fault(String.format(Locale.ROOT, "has %d numbers, not 9 or 12", m.length));
    }
    int row = m.length / 3;
    double in = s.most("inBitDepth");
    double out = s.most("outBitDepth");
    return rgb -> {
      double[] was = rgb.clone();
      for (int c = 0; c < 3; c++) {
        double sum = row == 4 ? m[4 * c + 3] : 0;
        for (int k = 0; k < 3; k++) {
          sum += m[row * c + k] * was[k] * in;
        }
        rgb[c] = sum / out;
      }
    };
  }

  /** From one range to another, cut to it unless it says otherwise. */
  static ClfNode range(ClfNode.Source s) {
    double in = s.most("inBitDepth");
    double out = s.most("outBitDepth");
    Optional<Double> low = one(s, "minInValue").map(v -> v / in);
    Optional<Double> high = one(s, "maxInValue").map(v -> v / in);
    double to = one(s, "minOutValue").map(v -> v / out).orElse(low.orElse(0.0));
    double end = one(s, "maxOutValue").map(v -> v / out).orElse(high.orElse(1.0));
    boolean both = low.isPresent() && high.isPresent();
    if (low.isEmpty() && high.isEmpty()) {
      throw s.fault("has no bounds");
    }
    if (both && !(high.get() > low.get())) {
      throw s.fault("ends below where it begins");
    }
    double scale = both ? (end - to) / (high.get() - low.get()) : 1;
    double from = low.orElse(high.orElse(0.0));
    double at = low.isPresent() ? to : end;
    boolean cut = !"noClamp".equals(s.attribute("style", "Clamp"));
    return rgb -> {
      for (int c = 0; c < 3; c++) {
        double v = at + (rgb[c] - from) * scale;
        v = cut && low.isPresent() ? Math.max(to, v) : v;
        rgb[c] = cut && high.isPresent() ? Math.min(end, v) : v;
      }
    };
  }

  private static Optional<Double> one(ClfNode.Source s, String name) {
    return s.numbers(name).map(v -> v[0]);
  }

  /** Slope, offset and power of each channel, then saturation (ASC Color Decision List 1.2). */
  static ClfNode cdl(ClfNode.Source s) {
    String style = s.attribute("style", "Fwd");
    if (!style.equals("Fwd") && !style.equals("FwdNoClamp") && !style.equals("v1.2_Fwd")) {
      throw s.fault("runs backwards, which is not understood");
    }
    boolean cut = !style.equals("FwdNoClamp");
    double[] slope = three(s, "Slope", 1);
    double[] offset = three(s, "Offset", 0);
    double[] power = three(s, "Power", 1);
    double saturation = s.numbers("Saturation").map(v -> v[0]).orElse(1.0);
    return rgb -> {
      for (int c = 0; c < 3; c++) {
        double v = rgb[c] * slope[c] + offset[c];
        v = cut ? Math.min(1, Math.max(0, v)) : v;
        rgb[c] = v < 0 ? v : Math.pow(v, power[c]);
      }
      double luma = LUMA[0] * rgb[0] + LUMA[1] * rgb[1] + LUMA[2] * rgb[2];
      for (int c = 0; c < 3; c++) {
        double v = luma + saturation * (rgb[c] - luma);
        rgb[c] = cut ? Math.min(1, Math.max(0, v)) : v;
      }
    };
  }

  private static double[] three(ClfNode.Source s, String name, double otherwise) {
    double[] v = s.numbers(name).orElse(new double[] {otherwise, otherwise, otherwise});
    if (v.length != 3) {
      throw s.fault("needs three numbers as its " + name);
    }
    return v;
  }
}

package org.nineveils.benchmarks;

import java.util.List;
import java.util.Map;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Mask;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Stack;
import org.nineveils.veil.BlendMode;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/** The stack that is timed: light, levels, contrast, half monochrome, soft-light tone, vignette. */
final class SixVeils {
  static final double STOPS = 0.3;
  static final double GAMMA = 1.1;
  static final double OUT_BLACK = 10;
  static final double CONTRAST = 20;
  static final double MONOCHROME = 30;
  static final double TONE_HUE = 36;
  static final double TONE_SATURATION = 30;
  static final double TONE_OPACITY = 0.25;
  static final double EDGE_STOPS = -0.8;
  static final double EDGE_REACH = 40;
  static final double EDGE_SOFTNESS = 60;

  private SixVeils() {}

  static Stack stack() {
    return Stack.of(
        Bundle.of(
            List.of(
                veil("a", "light", Map.of("exposure", STOPS), BlendMode.NORMAL, 1),
                veil(
                    "b",
                    "curve",
                    Map.of("gamma", GAMMA, "outBlack", OUT_BLACK),
                    BlendMode.NORMAL,
                    1),
                veil("c", "light", Map.of("contrast", CONTRAST), BlendMode.NORMAL, 1),
                veil("d", "tint", Map.of("monochrome", 100), BlendMode.NORMAL, MONOCHROME / 100),
                veil(
                    "e",
                    "tint",
                    Map.of("colourise", 100, "hue", TONE_HUE, "saturation", TONE_SATURATION),
                    BlendMode.SOFT_LIGHT,
                    TONE_OPACITY),
                veil(
                    "f",
                    "edge",
                    Map.of(
                        "amount",
                        EDGE_STOPS,
                        "reach",
                        EDGE_REACH,
                        "softness",
                        EDGE_SOFTNESS,
                        "roundness",
                        0),
                    BlendMode.NORMAL,
                    1))));
  }

  private static Veil veil(
      String id, String kindId, Map<String, ?> settings, BlendMode blend, double opacity) {
    VeilKind kind = Kinds.ofId(kindId);
    SettingValues values = SettingValues.parse(kind.settings(), settings);
    return new Veil(id, id, kind, values, blend, opacity, false, Mask.EVERYWHERE, "");
  }
}

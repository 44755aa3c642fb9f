package org.nineveils.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKind;
import org.nineveils.mask.RuleKinds;
import org.nineveils.mask.Stroke;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/** The stacks that are timed, as veils; {@link OpenCvRecipes} holds the same for OpenCV. */
final class Recipes {
  static final double STOPS = 0.3;
  static final double LESS_STOPS = -0.1;
  static final double GAMMA = 1.1;
  static final double OUT_BLACK = 10;
  static final double CONTRAST = 20;
  static final double MONOCHROME = 30;
  static final double TONE_HUE = 36;
  static final double TONE_SATURATION = 30;
  static final double TONE_OPACITY = 0.25;
  static final double SMOOTH = 70;
  static final double SMOOTH_SIZE = 6;
  static final double SMOOTH_EDGE = 12;
  static final double SMOOTH_TEXTURE = 40;
  static final double BLUR = 8;
  static final double MEDIUM = 30;
  static final double EDGE_STOPS = -0.8;
  static final double EDGE_REACH = 40;
  static final double EDGE_SOFTNESS = 60;

  /** What was brushed on for the two painted veils. */
  static final Stroke SKIN = stroke(0.3, 0.2, 0.55, 0.35, 0.3);

  static final Stroke SURROUNDINGS = stroke(0.1, 0.55, 0.9, 0.5, 0.25);

  /** Two hundred pixels long on a long side of 1 224. */
  static final Stroke DAB = stroke(0.3, 0.4, 0.3 + 200 / 1224.0, 0.42, 0.03);

  private Recipes() {}

  private static Stroke stroke(double x, double y, double toX, double toY, double size) {
    return new Stroke(List.of(x, y, toX, toY), size, 0.7, 1, 1, true);
  }

  /** Thirty veils of five sorts, each a function of colour. */
  static Stack thirty() {
    List<Veil> veils = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      veils.add(exposure("a" + i, i % 2 == 0 ? STOPS : -STOPS));
      veils.add(levels("b" + i));
      veils.add(contrast("c" + i));
      veils.add(monochrome("d" + i));
      veils.add(softTone("e" + i));
    }
    return Stack.of(Bundle.of(veils));
  }

  static Stack single() {
    return Stack.of(Bundle.of(List.of(exposure("a", STOPS).withOpacity(0.7))));
  }

  /** Twelve veils in working order, two of them painted. */
  static Stack twelve(double stops, Stroke... more) {
    List<Stroke> surroundings = new ArrayList<>(List.of(SURROUNDINGS));
    surroundings.addAll(List.of(more));
    List<Veil> veils =
        List.of(
            exposure("1", STOPS),
            levels("2"),
            smoothing("3").withMask(Mask.BRUSH_ON),
            contrast("4"),
            monochrome("5"),
            blur("6", BLUR).withMask(Mask.BRUSH_ON),
            softTone("7"),
            exposure("8", stops),
            levels("9"),
            veil("10", "crisp", Map.of("medium", MEDIUM)),
            contrast("11"),
            vignette("12"));
    Map<String, Paint> paint = Map.of("3", new Paint(List.of(SKIN)), "6", new Paint(surroundings));
    return Stack.of(new Bundle(veils, paint, 1));
  }

  /** One veil with one setting. */
  static Stack one(String kind, String key, double value) {
    return Stack.of(Bundle.of(List.of(veil("a", kind, Map.of(key, value)))));
  }

  /** So many veils that remove haze. */
  static Stack haze(int count) {
    List<Veil> veils = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      veils.add(veil("h" + i, "crisp", Map.of("clear", 10.0)));
    }
    return Stack.of(Bundle.of(veils));
  }

  /** A veil that follows skin. */
  static Stack skin() {
    RuleKind kind = RuleKinds.ofId("skin");
    Rule rule =
        new Rule(kind, SettingValues.parse(kind.settings(), Map.of()), Rule.Join.AND, false);
    Veil veil = veil("a", "light", Map.of("exposure", 0.3));
    return Stack.of(Bundle.of(List.of(veil.withMask(new Mask(Cover.BY_RULE, List.of(rule))))));
  }

  static Stack blur(double perMille) {
    return Stack.of(Bundle.of(List.of(blur("a", perMille))));
  }

  static Stack smoothing(double perMille) {
    Map<String, Double> settings = Map.of("smooth", SMOOTH, "smoothSize", perMille);
    return Stack.of(Bundle.of(List.of(veil("a", "soft", settings))));
  }

  private static Veil exposure(String id, double stops) {
    return veil(id, "light", Map.of("exposure", stops));
  }

  private static Veil levels(String id) {
    return veil(id, "curve", Map.of("gamma", GAMMA, "outBlack", OUT_BLACK));
  }

  private static Veil contrast(String id) {
    return veil(id, "light", Map.of("contrast", CONTRAST));
  }

  private static Veil monochrome(String id) {
    return veil(id, "tint", Map.of("monochrome", 100)).withOpacity(MONOCHROME / 100);
  }

  private static Veil softTone(String id) {
    Veil v =
        veil(id, "tint", Map.of("colourise", 100, "hue", TONE_HUE, "saturation", TONE_SATURATION));
    return new Veil(
        id,
        id,
        v.kind(),
        v.settings(),
        BlendMode.SOFT_LIGHT,
        TONE_OPACITY,
        false,
        Mask.EVERYWHERE,
        "");
  }

  private static Veil smoothing(String id) {
    return veil(
        id,
        "soft",
        Map.of(
            "smooth", SMOOTH,
            "smoothSize", SMOOTH_SIZE,
            "smoothEdge", SMOOTH_EDGE,
            "smoothTexture", SMOOTH_TEXTURE));
  }

  private static Veil blur(String id, double perMille) {
    return veil(id, "soft", Map.of("blur", perMille));
  }

  private static Veil vignette(String id) {
    return veil(
        id,
        "edge",
        Map.of(
            "amount", EDGE_STOPS,
            "reach", EDGE_REACH,
            "softness", EDGE_SOFTNESS,
            "roundness", 0));
  }

  private static Veil veil(String id, String kindId, Map<String, ?> settings) {
    VeilKind kind = Kinds.ofId(kindId);
    SettingValues values = SettingValues.parse(kind.settings(), settings);
    return new Veil(id, id, kind, values, BlendMode.NORMAL, 1, false, Mask.EVERYWHERE, "");
  }
}

package org.nineveils.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Reading;
import org.nineveils.proof.measure.SkinTone;

/**
 * What became of a photo, in words of photographers and without figures. Where “a little” ends and
 * “much” begins is common practice, no published source.
 */
public final class PlainWords {
  /** Steps of hue (degrees), lightness and chroma: seen at all, plainly, strongly. */
  private static final double[] STEPS = {1, 3, 8};

  /** Per cent of contrast that was won or lost: seen at all, plainly, strongly. */
  private static final double[] CONTRAST = {6, 15, 35};

  /** Per cent of the photo: seen at all, plainly, strongly. */
  private static final double[] LOST = {0.05, 0.5, 3};

  /** What a choice such as black and white is made for: it is no warning there. */
  private static final Set<String> CHOSEN =
      Set.of(
          "skin-changed",
          "skin-lightness",
          "skin-chroma",
          "skin-turned",
          "strength",
          "colour-kept");

  private static final Map<String, String> PASSED =
      Map.ofEntries(
          Map.entry("banding", "bands in smooth parts"),
          Map.entry("washed", "blacks washed out"),
          Map.entry("blown", "whites lost"),
          Map.entry("blocked", "blacks lost"),
          Map.entry("channels", "a colour without detail left"),
          Map.entry("colour-kept", "colours nearly gone"),
          Map.entry("colour-noise", "coloured specks"),
          Map.entry("noise", "more noise"),
          Map.entry("contrast", "flat"),
          Map.entry("corners", "corners very dark"),
          Map.entry("eyes", "eyes changed"),
          Map.entry("halo", "light edges around things"),
          Map.entry("neon", "glaring colours"),
          Map.entry("overdone", "harsh texture"),
          Map.entry("torn", "torn edges"),
          Map.entry("whites", "whites of eyes or teeth with a colour"),
          Map.entry("skin-changed", "skin far from what it was"),
          Map.entry("skin-chroma", "skin much stronger or paler"),
          Map.entry("skin-lightness", "skin much lighter or darker"),
          Map.entry("skin-turned", "skin of another colour"),
          Map.entry("strength", "far from the photo as it was"));

  private PlainWords() {}

  /** Says it: a line for skin, contrast, and lost whites and blacks. */
  public static List<LiveWords.Line> of(Pair pair, Readings taken) {
    List<LiveWords.Line> out = new ArrayList<>();
    Optional<SkinTone> skin = SkinTone.of(pair);
    String became =
        pair.isColourless()
            ? "in black and white"
            : skin.map(PlainWords::became).orElse("none found");
    out.add(new LiveWords.Line("Skin", became));
    out.add(new LiveWords.Line("Contrast", contrast(taken.byMeasure().get("contrast"))));
    out.add(new LiveWords.Line("Whites", lost(taken, Measures.BLOWN.id(), "white")));
    out.add(new LiveWords.Line("Blacks", lost(taken, Measures.BLOCKED.id(), "black")));
    return out;
  }

  private static String became(SkinTone skin) {
    List<String> parts = new ArrayList<>();
    add(parts, skin.turned(), "yellower", "redder");
    add(parts, skin.now().l() - skin.before().l(), "lighter", "darker");
    add(
        parts,
        Math.hypot(skin.now().a(), skin.now().b())
            - Math.hypot(skin.before().a(), skin.before().b()),
        "stronger",
        "paler");
    return parts.isEmpty() ? "as it was" : String.join(", ", parts);
  }

  private static void add(List<String> parts, double by, String more, String less) {
    much(Math.abs(by), STEPS).ifPresent(much -> parts.add(much + (by > 0 ? more : less)));
  }

  /** “a little ”, nothing or “much ”; empty for what is not seen, and where there is no number. */
  private static Optional<String> much(double by, double[] steps) {
    if (!(by >= steps[0])) {
      return Optional.empty();
    }
    return Optional.of(by < steps[1] ? "a little " : by < steps[2] ? "" : "much ");
  }

  private static String contrast(Reading reading) {
    if (reading == null || !reading.isJudged()) {
      return "as it was";
    }
    double by = reading.value() - 100;
    return much(Math.abs(by), CONTRAST)
        .map(much -> much + (by > 0 ? "more" : "less"))
        .orElse("as it was");
  }

  private static String lost(Readings taken, String id, String what) {
    Reading reading = taken.byMeasure().get(id);
    double share = reading == null || !reading.isJudged() ? 0 : reading.value();
    if (!(share >= LOST[0])) {
      return "as they were";
    }
    return (share < LOST[1] ? "a little" : share < LOST[2] ? "some" : "much")
        + " "
        + what
        + " lost";
  }

  /** What a verdict that is near or over is about. */
  public static String of(Verdict verdict) {
    String words = PASSED.getOrDefault(verdict.measure().id(), verdict.measure().label());
    return verdict.state() == Verdict.State.NEAR ? "nearly: " + words : words;
  }

  /** Whether a verdict is what the look was chosen for. */
  public static boolean isChosen(Pair pair, Verdict verdict) {
    return pair.isColourless() && CHOSEN.contains(verdict.measure().id());
  }
}

package org.nineveils.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.nineveils.colour.Lab;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.PhotoFacts;
import org.nineveils.proof.measure.Plain;
import org.nineveils.proof.measure.SkinTone;

/** What is said of a picture while it is edited: its skin, and tones that clip anew. */
public final class LiveWords {
  /** Degrees of hue, and units of lightness, below which skin is as it was. */
  private static final double LEAST = 1;

  private LiveWords() {}

  /**
   * A line.
   *
   * @param name what it is about
   * @param words what is said of it
   */
  public record Line(String name, String words) {}

  /** Says it. */
  public static List<Line> of(Plain plain, Pair pair, Readings taken) {
    List<Line> out = new ArrayList<>();
    Optional<SkinTone> skin = SkinTone.of(pair);
    PhotoFacts facts = PhotoFacts.of(plain);
    out.add(new Line("Skin", skin.map(s -> skin(facts, s)).orElse("none was found")));
    skin.ifPresent(s -> out.add(new Line("It became", became(s))));
    out.add(new Line("Newly blown", percent(taken, Measures.BLOWN)));
    out.add(new Line("Newly blocked", percent(taken, Measures.BLOCKED)));
    return out;
  }

  private static String skin(PhotoFacts facts, SkinTone skin) {
    String depth = facts.depth().map(d -> d.word()).orElse("under a colour cast");
    return String.format(Locale.ROOT, "%s, L* %.0f", depth, skin.before().l());
  }

  private static String became(SkinTone skin) {
    List<String> parts = new ArrayList<>();
    double turn = skin.turned();
    if (!Double.isNaN(turn) && Math.abs(turn) >= LEAST) {
      parts.add(
          String.format(Locale.ROOT, "%.0f° %s", Math.abs(turn), turn > 0 ? "yellower" : "redder"));
    }
    double lighter = skin.now().l() - skin.before().l();
    if (Math.abs(lighter) >= LEAST) {
      parts.add(
          String.format(
              Locale.ROOT, "%.0f L* %s", Math.abs(lighter), lighter > 0 ? "lighter" : "darker"));
    }
    double chroma = chroma(skin.now()) - chroma(skin.before());
    if (Math.abs(chroma) >= LEAST) {
      parts.add(
          String.format(
              Locale.ROOT, "%.0f C* %s", Math.abs(chroma), chroma > 0 ? "stronger" : "paler"));
    }
    return parts.isEmpty() ? "as it was" : String.join(", ", parts);
  }

  private static double chroma(Lab lab) {
    return Math.hypot(lab.a(), lab.b());
  }

  private static String percent(Readings taken, Measure measure) {
    double value = taken.byMeasure().get(measure.id()).value();
    return value < 0.05 ? "nothing" : String.format(Locale.ROOT, "%.1f %% of the photo", value);
  }
}

package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Reading;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * How much one veil has to do with a measure: found by taking it away.
 *
 * @param veil its id
 * @param name its name
 * @param without what the measure gives without it
 * @param by how much worse it makes the measure, in its unit; below 0 where it makes it better
 */
public record Culprit(String veil, String name, double without, double by) {
  /**
   * Takes each veil that is down away in turn.
   *
   * @param with what the measure gives with all of them; judged
   * @param measured what it gives for another effect on the same photo
   * @return the one that did most first; where its absence leaves nothing to judge, as where a tint
   *     alone has coloured a monochrome, all of it is its doing
   */
  public static List<Culprit> of(
      Measure measure, Reading with, Effect effect, Function<Effect, Reading> measured) {
    double sign = measure.bad() == Measure.Bad.MORE ? 1 : -1;
    double untouched = measure.bad() == Measure.Bad.MORE ? 0 : 100;
    List<Culprit> out = new ArrayList<>();
    for (Veil veil : effect.veils()) {
      if (veil.lifted() || veil.opacity() == 0) {
        continue;
      }
      List<Veil> others = effect.veils().stream().filter(v -> !v.id().equals(veil.id())).toList();
      Reading left = measured.apply(effect.withVeils(others));
      double without = left.isJudged() ? left.value() : untouched;
      double by = sign * (with.value() - without);
      out.add(new Culprit(veil.id(), veil.name(), without, by));
    }
    out.sort(Comparator.comparingDouble(Culprit::by).reversed());
    return out;
  }
}

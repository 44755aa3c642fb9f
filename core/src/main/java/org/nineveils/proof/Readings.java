package org.nineveils.proof;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Reading;

/**
 * What all measures say of one proof.
 *
 * @param byMeasure by id of the measure
 */
public record Readings(Map<String, Reading> byMeasure) {
  public Readings {
    byMeasure = Map.copyOf(byMeasure);
  }

  /** Takes all measures. */
  public static Readings of(Pair pair) {
    Map<String, Reading> out = new LinkedHashMap<>();
    Measures.all().forEach(measure -> out.put(measure.id(), measure.of(pair)));
    return new Readings(out);
  }

  /**
   * What limits say of them, in the order of the measures; those that are switched off are left
   * out.
   *
   * @param accepted why a measure may be over, by its id; empty where it may not
   */
  public List<Verdict> verdicts(Limits limits, Function<String, String> accepted) {
    return limits.judged().stream()
        .filter(m -> byMeasure.containsKey(m.id()))
        .map(m -> verdict(m, limits, accepted))
        .toList();
  }

  private Verdict verdict(Measure m, Limits limits, Function<String, String> accepted) {
    return new Verdict(m, byMeasure.get(m.id()), limits.of(m), accepted.apply(m.id()));
  }

  /** The verdict that matters most, by the limits that measures begin with. */
  public Optional<Verdict> worst(Limits limits) {
    return Verdict.worst(verdicts(limits, id -> ""));
  }
}

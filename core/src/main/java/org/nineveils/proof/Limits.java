package org.nineveils.proof;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.refusal.Refusal;

/**
 * Bounds that proofs must keep, as far as they are others than those that measures begin with.
 *
 * @param bounds by id of the measure, in its unit
 * @param off ids of measures that are not judged
 */
public record Limits(Map<String, Double> bounds, Set<String> off) {
  /** Farthest bound of any measure. */
  public static final double MOST = 1000;

  /** Those that measures begin with. */
  public static final Limits START = new Limits(Map.of(), Set.of());

  public Limits {
    bounds = Map.copyOf(bounds);
    off = Set.copyOf(off);
    bounds.forEach(
        (id, bound) -> {
          Measure measure = measure(id);
          boolean less = measure.bad() == Measure.Bad.LESS;
          if (!(bound >= 0 && bound <= (less ? 100 : MOST)) || (!less && bound == 0)) {
            throw new Refusal(
                "The limit of “%s” must be %s, but was %s."
                    .formatted(
                        measure.label(),
                        less ? "from 0 to 100 %" : "above 0 and at most 1000 " + measure.unit(),
                        bound));
          }
        });
    off.forEach(Limits::measure);
  }

  private static Measure measure(String id) {
    return Measures.ofId(id)
        .orElseThrow(() -> new Refusal("There is no measure called “%s”.".formatted(id)));
  }

  /** Whether a measure is judged. */
  public boolean isOn(Measure measure) {
    return !off.contains(measure.id());
  }

  /** The bound of a measure. */
  public double of(Measure measure) {
    return bounds.getOrDefault(measure.id(), measure.limit());
  }

  /** These with those of a section in their place, where it has its own. */
  public Limits with(Limits section) {
    Map<String, Double> all = new LinkedHashMap<>(bounds);
    all.putAll(section.bounds);
    Set<String> none = new TreeSet<>(off);
    none.removeAll(section.bounds.keySet()); // a bound of its own switches a measure on again
    none.addAll(section.off);
    return new Limits(all, none);
  }

  /** For what is worn together: of each measure the wider bound of the two, off where one is. */
  public Limits wider(Limits other) {
    Map<String, Double> all = new LinkedHashMap<>();
    for (Measure m : Measures.all()) {
      boolean less = m.bad() == Measure.Bad.LESS;
      all.put(m.id(), less ? Math.min(of(m), other.of(m)) : Math.max(of(m), other.of(m)));
    }
    Set<String> none = new TreeSet<>(off);
    none.addAll(other.off);
    return new Limits(all, none);
  }

  /** These without some measures. */
  public Limits without(Predicate<Measure> some) {
    Set<String> none = new TreeSet<>(off);
    Measures.all().stream().filter(some).forEach(m -> none.add(m.id()));
    return new Limits(bounds, none);
  }

  /** What is judged, in the order of the screens. */
  public List<Measure> judged() {
    return Measures.all().stream().filter(this::isOn).toList();
  }
}

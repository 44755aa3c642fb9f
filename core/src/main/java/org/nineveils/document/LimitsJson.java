package org.nineveils.document;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.nineveils.proof.Limits;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;

/** Limits as JSON: by id of the measure a bound in its unit, or “off”. */
public final class LimitsJson {
  private static final String OFF = "off";

  private LimitsJson() {}

  /** As JSON takes them. */
  public static Map<String, Object> format(Limits limits) {
    Map<String, Object> out = new LinkedHashMap<>();
    for (Measure m : Measures.all()) {
      if (limits.off().contains(m.id())) {
        out.put(m.id(), OFF);
      } else if (limits.bounds().containsKey(m.id())) {
        out.put(m.id(), limits.bounds().get(m.id()));
      }
    }
    return out;
  }

  /**
   * Reads them.
   *
   * @throws DocumentException naming the place and the fault
   */
  public static Limits parse(Fields f) {
    Map<String, Double> bounds = new LinkedHashMap<>();
    Set<String> off = new LinkedHashSet<>();
    for (String id : f.names()) {
      if (OFF.equals(f.raw().get(id))) {
        off.add(id);
      } else {
        bounds.put(id, f.number(id));
      }
    }
    return f.build(() -> new Limits(bounds, off));
  }
}

package org.nineveils.document;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.proof.Readings;
import org.nineveils.proof.measure.Reading;

/** Readings as JSON: a number by id of the measure, or the words why there is none. */
public final class ReadingsJson {
  private ReadingsJson() {}

  /** As JSON takes them. */
  public static Map<String, Object> format(Readings readings) {
    Map<String, Object> out = new LinkedHashMap<>();
    readings.byMeasure().entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(
            e -> {
              Reading r = e.getValue();
              out.put(e.getKey(), r.isJudged() ? (Object) r.value() : r.why());
            });
    return out;
  }

  /**
   * Reads them.
   *
   * @throws DocumentException naming the place and the fault
   */
  public static Readings parse(Fields f) {
    Map<String, Reading> out = new LinkedHashMap<>();
    for (String id : f.names()) {
      Object raw = f.raw().get(id);
      out.put(id, raw instanceof Number n ? Reading.of(n.doubleValue()) : Reading.not(f.text(id)));
    }
    return new Readings(out);
  }
}

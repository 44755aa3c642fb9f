package org.nineveils.document;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.colour.Lab;
import org.nineveils.proof.measure.PhotoFacts;

/** Measured facts of a photo as JSON, to be kept. */
public final class FactsJson {
  private FactsJson() {}

  /** As JSON takes them. */
  public static Map<String, Object> format(PhotoFacts f) {
    return Json.object(
        "skin", colour(f.skin()),
        "fur", f.fur(),
        "values", f.values());
  }

  private static List<Double> colour(Lab lab) {
    return lab == null ? List.of() : List.of(lab.l(), lab.a(), lab.b());
  }

  /** Reads them. */
  public static PhotoFacts parse(Fields f) {
    return new PhotoFacts(colour(f, "skin"), f.flag("fur", false), values(f.object("values")));
  }

  private static Map<String, Double> values(Fields f) {
    Map<String, Double> out = new LinkedHashMap<>();
    f.names().forEach(name -> out.put(name, f.number(name)));
    return out;
  }

  private static Lab colour(Fields f, String name) {
    List<?> v = f.list(name);
    return v.isEmpty() ? null : new Lab(number(v.get(0)), number(v.get(1)), number(v.get(2)));
  }

  private static double number(Object value) {
    return ((Number) value).doubleValue();
  }
}

package org.nineveils.document;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Pressure;
import org.nineveils.mask.Stroke;

/** Paint as JSON: strokes by id of veil. */
public final class PaintJson {
  private PaintJson() {}

  /** The paint of several veils as JSON takes it. */
  public static Map<String, Object> format(Map<String, Paint> paint) {
    Map<String, Object> out = new LinkedHashMap<>();
    paint.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .forEach(
            e ->
                out.put(
                    e.getKey(),
                    e.getValue().strokes().stream().map(PaintJson::formatStroke).toList()));
    return out;
  }

  /** One stroke as JSON takes it. */
  public static Map<String, Object> formatStroke(Stroke s) {
    Map<String, Object> out =
        Json.object(
            "points", s.points(),
            "size", s.size(),
            "softness", s.softness(),
            "strength", s.strength(),
            "flow", s.flow(),
            "reveal", s.reveal());
    if (!s.pressure().along().isEmpty()) {
      out.put("pressure", s.pressure().along());
      out.put("pressed", s.pressure().moves().id());
    }
    if (s.holding() > 0) {
      out.put("holding", s.holding());
    }
    return out;
  }

  /**
   * Reads the paint of several veils.
   *
   * @throws DocumentException naming the stroke and the fault
   */
  public static Map<String, Paint> parse(Fields fields) {
    Map<String, Paint> out = new LinkedHashMap<>();
    for (String veil : fields.names()) {
      List<Stroke> strokes = fields.objects(veil, PaintJson::parseStroke);
      out.put(veil, fields.build(() -> new Paint(strokes)));
    }
    return out;
  }

  /** Reads one stroke. */
  public static Stroke parseStroke(Fields f) {
    f.only(
        "points",
        "size",
        "softness",
        "strength",
        "flow",
        "reveal",
        "pressure",
        "pressed",
        "holding");
    List<Double> points = numbers(f, "points");
    List<Double> along = f.has("pressure") ? numbers(f, "pressure") : List.of();
    return f.build(
        () ->
            new Stroke(
                points,
                f.number("size"),
                f.number("softness"),
                f.number("strength"),
                f.number("flow"),
                f.flag("reveal", true),
                new Pressure(
                    along, Pressure.Moves.ofId(f.text("pressed", Pressure.Moves.SIZE.id()))),
                f.number("holding", 0)));
  }

  private static List<Double> numbers(Fields f, String name) {
    return f.list(name).stream()
        .map(
            p -> {
              if (p instanceof Number n) {
                return n.doubleValue();
              }
              throw new DocumentException("%s: %s must be numbers.".formatted(f.where(), name));
            })
        .toList();
  }
}

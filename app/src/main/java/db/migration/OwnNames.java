package db.migration;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.nineveils.document.DocumentException;
import org.nineveils.document.Json;

/**
 * Gives settings of documents of before their present names. Eight hues stood unevenly round the
 * wheel and stand evenly now: what was set for them is read off, between the two that a hue lies
 * between, at the hues of today.
 */
final class OwnNames {
  /**
   * Oklab hues of the eight of before, degrees, worked out from the sRGB colours they stood for.
   */
  private static final Map<String, Double> HUES = new LinkedHashMap<>();

  /** Their nearest of today, at 15° and every 45° from there, in the same order. */
  private static final List<String> STOPS =
      List.of("rose", "amber", "straw", "leaf", "jade", "sky", "iris", "mauve");

  private static final Map<String, String> LIGHT =
      Map.of(
          "tint", "greenToPink",
          "blacks", "deepest",
          "shadows", "deep",
          "highlights", "light",
          "whites", "lightest");

  private static final Map<String, String> INK_FAMILIES =
      Map.of(
          "reds", "poppy",
          "yellows", "lemon",
          "greens", "clover",
          "cyans", "lagoon",
          "blues", "cobalt",
          "magentas", "orchid",
          "whites", "lights",
          "neutrals", "middles",
          "blacks", "darks");

  private static final List<String> BANDS = List.of("Hue", "Saturation", "Lightness");

  static {
    List<String> names =
        List.of("red", "orange", "yellow", "green", "aqua", "blue", "purple", "magenta");
    double[] degrees = {29.2, 52.8, 109.8, 142.5, 194.8, 264.1, 293.8, 328.4};
    for (int i = 0; i < degrees.length; i++) {
      HUES.put(names.get(i), degrees[i]);
    }
  }

  private OwnNames() {}

  /** A document, or anything else that is no document, which stays as it is. */
  static String in(String json) {
    Map<String, Object> raw;
    try {
      raw = Json.read(json, "The document").raw();
    } catch (DocumentException e) {
      return json;
    }
    Object renamed = in(raw);
    return raw.equals(renamed) ? json : Json.write(renamed);
  }

  private static Object in(Object any) {
    if (any instanceof List<?> list) {
      return list.stream().map(OwnNames::in).collect(Collectors.toList());
    }
    if (!(any instanceof Map<?, ?> map)) {
      return any;
    }
    Map<String, Object> out = new LinkedHashMap<>();
    for (Map.Entry<?, ?> entry : map.entrySet()) {
      String key = (String) entry.getKey();
      Object value = entry.getValue();
      if (key.equals("settings") && map.get("kind") instanceof String kind) {
        out.put(key, settings(kind, copy(value)));
      } else if (key.equals("dials") && value instanceof Map<?, ?>) {
        Map<String, Object> dials = new TreeMap<>();
        copy(value).forEach((name, turned) -> dials.put(dial(name), turned));
        out.put(key, dials);
      } else if (key.equals("key") && map.containsKey("veil") && value instanceof String name) {
        out.put(key, dial(name));
      } else if (key.equals("doc") && value instanceof String doc) {
        out.put(key, in(doc)); // the image of a row
      } else {
        out.put(key, in(value));
      }
    }
    return out;
  }

  private static Map<String, Object> copy(Object map) {
    Map<String, Object> out = new LinkedHashMap<>();
    ((Map<?, ?>) map).forEach((key, value) -> out.put((String) key, value));
    return out;
  }

  private static Map<String, Object> settings(String kind, Map<String, Object> before) {
    Map<String, Object> out = new LinkedHashMap<>();
    switch (kind) {
      case "light" -> before.forEach((key, v) -> out.put(LIGHT.getOrDefault(key, key), v));
      case "ink" -> before.forEach((key, v) -> out.put(ink(key), v));
      case "tint" -> {
        out.putAll(before);
        hues(out, "");
      }
      case "colour" -> {
        out.putAll(before);
        BANDS.forEach(band -> hues(out, band));
      }
      default -> out.putAll(before);
    }
    return out;
  }

  private static String ink(String key) {
    if (key.equals("absolute")) {
      return "alsoWhereNone";
    }
    for (Map.Entry<String, String> family : INK_FAMILIES.entrySet()) {
      if (key.matches(family.getKey() + "(Cyan|Magenta|Yellow|Black)")) {
        return family.getValue() + key.substring(family.getKey().length());
      }
    }
    return key;
  }

  /** The eight settings of one band, where any is set. */
  private static void hues(Map<String, Object> settings, String band) {
    Map<String, Double> before = new LinkedHashMap<>();
    for (String name : HUES.keySet()) {
      Object value = settings.remove(name + band);
      before.put(name, value instanceof Number n ? n.doubleValue() : 0.0);
    }
    if (before.values().stream().allMatch(v -> v == 0)) {
      return;
    }
    for (int i = 0; i < STOPS.size(); i++) {
      long now = Math.round(at(before, 15 + 45 * i));
      if (now != 0) {
        settings.put(STOPS.get(i) + band, now);
      }
    }
  }

  /** What the eight of before say of a hue: straight between the two that it lies between. */
  private static double at(Map<String, Double> before, double degrees) {
    List<String> names = List.copyOf(HUES.keySet());
    for (int i = 0; i < names.size(); i++) {
      double from = HUES.get(names.get(i));
      double width = turn(HUES.get(names.get((i + 1) % names.size())) - from);
      double in = turn(degrees - from);
      if (in < width) {
        double first = before.get(names.get(i));
        double last = before.get(names.get((i + 1) % names.size()));
        return first + (last - first) * in / width;
      }
    }
    throw new IllegalStateException("no hue holds " + degrees);
  }

  private static double turn(double degrees) {
    return (degrees % 360 + 360) % 360;
  }

  /** Dials name numbers alone, and no two kinds had one of these names. */
  private static String dial(String key) {
    if (LIGHT.containsKey(key)) {
      return LIGHT.get(key);
    }
    List<String> names = List.copyOf(HUES.keySet());
    for (int i = 0; i < names.size(); i++) {
      String rest = key.startsWith(names.get(i)) ? key.substring(names.get(i).length()) : "no";
      if (rest.isEmpty() || BANDS.contains(rest)) {
        return STOPS.get(i) + rest;
      }
    }
    return ink(key);
  }
}

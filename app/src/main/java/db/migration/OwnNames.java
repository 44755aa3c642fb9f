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
 * wheel and stand evenly now: the hues of today get what comes nearest to what was set, all round
 * the wheel.
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
    if (out.get("veils") instanceof List<?> veils && out.get("dials") instanceof List<?> dials) {
      dials.forEach(dial -> keepWithin((Map<?, ?>) dial, veils));
    }
    return out;
  }

  /** A dial's range holds its veil's value, also where that was read off anew. */
  private static void keepWithin(Map<?, ?> dial, List<?> veils) {
    String key = String.valueOf(dial.get("key"));
    if (STOPS.stream().noneMatch(key::startsWith)
        || !(dial.get("min") instanceof Number min)
        || !(dial.get("max") instanceof Number max)) {
      return;
    }
    for (Object veil : veils) {
      Map<?, ?> of = (Map<?, ?>) veil;
      if (String.valueOf(of.get("id")).equals(String.valueOf(dial.get("veil")))
          && of.get("settings") instanceof Map<?, ?> settings) {
        @SuppressWarnings("unchecked") // made by settings()
        Map<String, Object> own = (Map<String, Object>) settings;
        double now = own.get(key) instanceof Number n ? n.doubleValue() : 0;
        double within = Math.min(max.doubleValue(), Math.max(min.doubleValue(), now));
        if (within != now) {
          own.put(key, within);
        }
      }
    }
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
    double[] fitted = fitted(before);
    for (int i = 0; i < STOPS.size(); i++) {
      long now = Math.round(fitted[i]);
      if (now != 0) {
        settings.put(STOPS.get(i) + band, now);
      }
    }
  }

  /**
   * The values at the stops of today that come nearest to what the eight of before say all round
   * the wheel: least squares over every degree, solved by Gauss and Seidel.
   */
  private static double[] fitted(Map<String, Double> before) {
    int n = STOPS.size();
    double[][] both = new double[n][n];
    double[] wanted = new double[n];
    for (int degree = 0; degree < 360; degree++) {
      double old = at(before, degree);
      double place = turn(degree - 15) / 45;
      int first = (int) place;
      int second = (first + 1) % n;
      double share = place - first;
      both[first][first] += (1 - share) * (1 - share);
      both[second][second] += share * share;
      both[first][second] += share * (1 - share);
      both[second][first] += share * (1 - share);
      wanted[first] += (1 - share) * old;
      wanted[second] += share * old;
    }
    double[] out = new double[n];
    for (int round = 0; round < 60; round++) {
      for (int i = 0; i < n; i++) {
        double rest = wanted[i];
        for (int k = 0; k < n; k++) {
          rest -= k == i ? 0 : both[i][k] * out[k];
        }
        out[i] = rest / both[i][i];
      }
    }
    return out;
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

package org.nineveils.document;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.refusal.Refusal;

/** The fields of a JSON object, read by name and type; faults say where they stand. */
public final class Fields {
  private final String where;
  private final Map<String, Object> values;

  private Fields(String where, Map<String, Object> values) {
    this.where = where;
    this.values = values;
  }

  /**
   * The fields of an object.
   *
   * @param raw what JSON gave
   * @param where how to call the place in messages
   * @throws DocumentException if it is no object
   */
  static Fields of(Object raw, String where) {
    if (!(raw instanceof Map<?, ?> map)) {
      throw new DocumentException("%s must be a JSON object.".formatted(where));
    }
    Map<String, Object> values = new LinkedHashMap<>();
    map.forEach((key, value) -> values.put((String) key, value));
    return new Fields(where, values);
  }

  /** How the place is called in messages. */
  public String where() {
    return where;
  }

  /** The names of all fields. */
  public List<String> names() {
    return List.copyOf(values.keySet());
  }

  /** Refuses fields that are not among these. */
  public Fields only(String... known) {
    for (String name : values.keySet()) {
      if (!List.of(known).contains(name)) {
        throw new DocumentException("%s has an unknown field “%s”.".formatted(where, name));
      }
    }
    return this;
  }

  public boolean has(String name) {
    return values.get(name) != null;
  }

  public String text(String name) {
    if (values.get(name) instanceof String text) {
      return text;
    }
    throw wrong(name, "text");
  }

  public String text(String name, String otherwise) {
    return has(name) ? text(name) : otherwise;
  }

  public double number(String name) {
    if (values.get(name) instanceof Number number) {
      return number.doubleValue();
    }
    throw wrong(name, "a number");
  }

  public double number(String name, double otherwise) {
    return has(name) ? number(name) : otherwise;
  }

  public int whole(String name) {
    double value = number(name);
    if (value != Math.rint(value) || Math.abs(value) > 1e9) {
      throw wrong(name, "a whole number");
    }
    return (int) value;
  }

  public boolean flag(String name, boolean otherwise) {
    if (!has(name)) {
      return otherwise;
    }
    if (values.get(name) instanceof Boolean flag) {
      return flag;
    }
    throw wrong(name, "true or false");
  }

  public List<?> list(String name) {
    if (values.get(name) instanceof List<?> list) {
      return list;
    }
    throw wrong(name, "a list");
  }

  /** A list of whole numbers. */
  public List<Long> wholes(String name) {
    return list(name).stream()
        .map(
            raw -> {
              if (raw instanceof Number n && n.doubleValue() == n.longValue()) {
                return n.longValue();
              }
              throw wrong(name, "a list of whole numbers");
            })
        .toList();
  }

  /** A list of texts. */
  public List<String> texts(String name) {
    return list(name).stream()
        .map(
            raw -> {
              if (raw instanceof String text) {
                return text;
              }
              throw wrong(name, "a list of texts");
            })
        .toList();
  }

  /** The object in a field; an absent one counts as empty. */
  public Fields object(String name) {
    Object raw = has(name) ? values.get(name) : Map.of();
    return of(raw, "%s, %s".formatted(where, name));
  }

  /** The object in a field that must be there. */
  public Fields needed(String name) {
    if (!(values.get(name) instanceof Map)) {
      throw wrong(name, "an object");
    }
    return object(name);
  }

  /** The objects of a list, each read by {@code read}; places are counted from 1. */
  public <T> List<T> objects(String name, Function<Fields, T> read) {
    List<T> out = new ArrayList<>();
    for (Object item : list(name)) {
      out.add(
          read.apply(
              of(item, String.format(Locale.ROOT, "%s, %s %d", where, name, out.size() + 1))));
    }
    return out;
  }

  /** All fields as JSON gave them. */
  public Map<String, Object> raw() {
    return values;
  }

  /**
   * Runs a constructor that checks its values, and names this place in its complaint.
   *
   * @throws DocumentException with the place and the sentence of the complaint
   */
  public <T> T build(java.util.function.Supplier<T> constructor) {
    try {
      return constructor.get();
    } catch (Refusal e) {
      throw new DocumentException("%s: %s".formatted(where, e.getMessage()), e);
    }
  }

  private DocumentException wrong(String name, String type) {
    return new DocumentException(
        has(name)
            ? "%s: “%s” must be %s.".formatted(where, name, type)
            : "%s has no “%s”.".formatted(where, name));
  }
}

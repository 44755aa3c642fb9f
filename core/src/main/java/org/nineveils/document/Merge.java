package org.nineveils.document;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Puts what was changed between two states of a document onto a third that comes from the first
 * too: a three-way merge, field by field. Things in lists, such as veils, are known by their id; a
 * list of other values is one value.
 */
public final class Merge {
  /** Fields that things in lists are known by. */
  private static final List<String> IDS = List.of("id", "effect");

  private Merge() {}

  /**
   * The third document with the change on it. Where both changed one value, that of the change
   * counts; what the third has let go stays away.
   *
   * @param from what was changed
   * @param to what it was changed to
   * @param there what meanwhile became of {@code from}
   * @return a document that nobody has checked yet
   */
  public static Map<String, Object> onto(
      Map<String, Object> from, Map<String, Object> to, Map<String, Object> there) {
    Set<String> names = new LinkedHashSet<>(there.keySet());
    names.addAll(to.keySet());
    Map<String, Object> out = new LinkedHashMap<>();
    for (String name : names) {
      Object value = value(from.get(name), to.get(name), there.get(name));
      if (value != null) {
        out.put(name, value);
      }
    }
    return out;
  }

  private static Object value(Object from, Object to, Object there) {
    if (Objects.equals(from, to)) {
      return there;
    }
    if (Objects.equals(from, there)) {
      return to;
    }
    if (from instanceof Map<?, ?> && to instanceof Map<?, ?> && there instanceof Map<?, ?>) {
      return onto(fields(from), fields(to), fields(there));
    }
    if (from instanceof List<?> f && to instanceof List<?> t && there instanceof List<?> now) {
      for (String id : IDS) {
        var things =
            byId(f, id)
                .flatMap(a -> byId(t, id).flatMap(b -> byId(now, id).map(c -> things(a, b, c))));
        if (things.isPresent()) {
          return things.get();
        }
      }
    }
    return to;
  }

  /** The things of a list by id; empty where one has none, or two have the same. */
  private static Optional<Map<Object, Map<String, Object>>> byId(List<?> list, String id) {
    Map<Object, Map<String, Object>> out = new LinkedHashMap<>();
    for (Object thing : list) {
      if (!(thing instanceof Map<?, ?> map)
          || !(map.get(id) instanceof String key)
          || out.put(key, fields(map)) != null) {
        return Optional.empty();
      }
    }
    return Optional.of(out);
  }

  private static List<Object> things(
      Map<Object, Map<String, Object>> from,
      Map<Object, Map<String, Object>> to,
      Map<Object, Map<String, Object>> there) {
    List<Object> order = order(from.keySet(), to.keySet(), there.keySet());
    List<Object> out = new ArrayList<>();
    for (Object key : order) {
      boolean inAll = from.containsKey(key) && to.containsKey(key) && there.containsKey(key);
      Map<String, Object> newest = to.containsKey(key) ? to.get(key) : there.get(key);
      out.add(inAll ? onto(from.get(key), to.get(key), there.get(key)) : newest);
    }
    return out;
  }

  /**
   * What is in both, and what is new in either behind the thing that it came behind, in the order
   * of {@code there} unless the change was one of order.
   */
  private static List<Object> order(Set<Object> from, Set<Object> to, Set<Object> there) {
    boolean moved = !kept(from, to).equals(kept(to, from));
    Set<Object> first = moved ? to : there;
    Set<Object> second = moved ? there : to;
    List<Object> out = new ArrayList<>();
    for (Object key : first) {
      if (second.contains(key) || !from.contains(key)) {
        out.add(key);
      }
    }
    Object before = null;
    for (Object key : second) {
      if (!from.contains(key) && !out.contains(key)) {
        out.add(before == null ? 0 : out.indexOf(before) + 1, key);
      }
      before = out.contains(key) ? key : before;
    }
    return out;
  }

  private static List<Object> kept(Set<Object> keys, Set<Object> others) {
    return keys.stream().filter(others::contains).toList();
  }

  @SuppressWarnings("unchecked") // JSON's objects have names for keys
  private static Map<String, Object> fields(Object map) {
    return (Map<String, Object>) map;
  }
}

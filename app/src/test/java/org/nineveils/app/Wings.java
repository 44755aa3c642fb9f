package org.nineveils.app;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** The wings of the application from the ground up: each knows those before it, and no other. */
final class Wings {
  static final List<String> UPWARDS =
      List.of("base", "photo", "wear", "making", "proof", "leaving", "order", "shop", "house");

  private static final String ROOT = "org.nineveils.app.";

  private Wings() {}

  /**
   * A wing and the room in it.
   *
   * @param room empty for what stands in the wing itself
   */
  record Place(String wing, String room) {}

  /** Where a class stands; empty for what is not in a wing. */
  static Optional<Place> of(JavaClass c) {
    if (!c.getPackageName().startsWith(ROOT)) {
      return Optional.empty();
    }
    List<String> parts = List.of(c.getPackageName().substring(ROOT.length()).split("\\.", -1));
    return Optional.of(new Place(parts.get(0), parts.size() > 1 ? parts.get(1) : ""));
  }

  /** Rooms by wing. */
  static Map<String, Set<String>> rooms(JavaClasses all) {
    Map<String, Set<String>> out = new TreeMap<>();
    for (JavaClass c : all) {
      of(c)
          .filter(p -> !p.room().isEmpty())
          .ifPresent(p -> out.computeIfAbsent(p.wing(), w -> new TreeSet<>()).add(p.room()));
    }
    return out;
  }

  /** Between which wings classes know one another, as “above below”, with the classes. */
  static Map<String, Set<String>> arrows(JavaClasses all) {
    Map<String, Set<String>> out = new TreeMap<>();
    for (JavaClass c : all) {
      of(c)
          .ifPresent(
              from ->
                  c.getDirectDependenciesFromSelf().stream()
                      .flatMap(d -> of(d.getTargetClass()).stream())
                      .filter(to -> !to.wing().equals(from.wing()))
                      .forEach(
                          to ->
                              out.computeIfAbsent(
                                      from.wing() + " " + to.wing(), k -> new TreeSet<>())
                                  .add(c.getFullName())));
    }
    return out;
  }
}

package org.nineveils.kit;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An effect as a kit offers it to a fitting.
 *
 * @param key stays with the effect
 * @param name on screens
 * @param section number of its section: the order of wearing
 * @param sectionName on screens
 * @param rule what may be worn with it from its section
 * @param position place within the section
 * @param against sections that its own goes not with
 */
public record Offer(
    String key,
    String name,
    int section,
    String sectionName,
    StackingRule rule,
    int position,
    List<Against> against) {
  public Offer {
    against = List.copyOf(against);
  }

  /** An offer of a section that goes with every other. */
  public Offer(
      String key, String name, int section, String sectionName, StackingRule rule, int position) {
    this(key, name, section, sectionName, rule, position, List.of());
  }

  /** What keeps two offers from being worn together, whichever section says so. */
  Optional<Against> against(Offer other) {
    return Stream.concat(
            against.stream().filter(a -> a.section() == other.section()),
            other.against.stream().filter(a -> a.section() == section))
        .findFirst();
  }
}

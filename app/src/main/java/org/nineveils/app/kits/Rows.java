package org.nineveils.app.kits;

import java.util.List;

/** Rows of kits and their contents, as pages and other features see them. */
public final class Rows {
  private Rows() {}

  /** A kit. */
  public record Kit(long id, String name, String purpose, int rev) {}

  /** A section; rule is the id of a {@link org.nineveils.kit.StackingRule}. */
  public record Section(long id, long kitId, int number, String name, String rule) {}

  /** An effect as filed; doc is its JSON. */
  public record Effect(
      long id,
      long kitId,
      long sectionId,
      int position,
      String name,
      Long variantOf,
      String doc,
      int rev,
      boolean favourite) {}

  /** A section with its effects in order. */
  public record FilledSection(Section section, List<Effect> effects) {}
}

package org.nineveils.app.making.kits;

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
      boolean favourite) {
    /** The same as lists show it. */
    public Head head() {
      return new Head(id, kitId, sectionId, position, name, variantOf, rev, favourite);
    }
  }

  /** An effect as lists show it, without its document. */
  public record Head(
      long id,
      long kitId,
      long sectionId,
      int position,
      String name,
      Long variantOf,
      int rev,
      boolean favourite) {}

  /** A section with its effects in order. */
  public record FilledSection(Section section, List<Head> effects) {}

  /** How much is in a kit. */
  public record Counts(long kitId, int sections, int effects) {}
}

package org.nineveils.mask;

import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;

/** Where a veil covers before anything is painted. */
public enum Cover {
  /** The whole picture. */
  EVERYWHERE("everywhere", "Everywhere", 1),
  /** Starts hidden and is brushed on where wanted. */
  BRUSH_ON("brush-on", "Brush on", 0),
  /** Where the mask's rules select, worked out afresh on every photo. */
  BY_RULE("by-rule", "By rule", 0),
  /** Where another veil of the same effect covers, paint and all. */
  AS_VEIL("as-veil", "As another veil", 0);

  private final String id;
  private final String label;
  private final float base;

  Cover(String id, String label, float base) {
    this.id = id;
    this.label = label;
    this.base = base;
  }

  /** Name in files. */
  public String id() {
    return id;
  }

  /** Name on screens. */
  public String label() {
    return label;
  }

  /** Coverage where nothing is painted, 0 or 1. */
  public float base() {
    return base;
  }

  /**
   * The cover of that name.
   *
   * @throws Refusal with a sentence if there is none
   */
  public static Cover ofId(String id) {
    return Ids.find(values(), Cover::id, id)
        .orElseThrow(() -> new Refusal("There is no mask “%s”.".formatted(id)));
  }
}

package org.nineveils.app.photo.photos;

import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;

/** Whose photos: the maker's test wall or the photographer's desk. */
public enum Side {
  WALL,
  DESK;

  /** Value in the database and in addresses. */
  String id() {
    return name().toLowerCase(java.util.Locale.ROOT);
  }

  /**
   * The side of that name.
   *
   * @throws Refusal with a sentence if there is none
   */
  static Side ofId(String id) {
    return Ids.find(values(), Side::id, id)
        .orElseThrow(() -> new Refusal("There is no side “%s” that has photos.".formatted(id)));
  }
}

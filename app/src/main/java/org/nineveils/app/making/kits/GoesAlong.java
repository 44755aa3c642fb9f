package org.nineveils.app.making.kits;

import java.util.Map;

/** What belongs to effects and is kept by another feature: it is copied where they are. */
public interface GoesAlong {
  /**
   * Copies what belongs to effects; runs within the edit that copies them.
   *
   * @param effects id of the copy by id of the effect
   * @param sections id of the copy by id of the section, where whole sections were copied
   * @param fromKit where sections were copied from, 0 where none were
   * @param toKit where they were copied to
   */
  void copied(Map<Long, Long> effects, Map<Long, Long> sections, long fromKit, long toKit);
}

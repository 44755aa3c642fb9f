package org.nineveils.app.making.kits;

import java.util.Map;
import org.springframework.stereotype.Component;

/** Marks of sections, and which of them do not go together, go along where a kit is copied. */
@Component
class SectionsAlong implements GoesAlong {
  private static final String SECTION = "section";

  private final MarkStore marks;
  private final AgainstStore against;

  SectionsAlong(MarkStore marks, AgainstStore against) {
    this.marks = marks;
    this.against = against;
  }

  @Override
  public void copied(Map<Long, Long> effects, Map<Long, Long> sections, long from, long to) {
    sections.forEach((section, copy) -> marks.put(SECTION, copy, marks.of(SECTION, section)));
    for (AgainstStore.Two two : against.inKit(from)) {
      Long one = sections.get(two.oneId());
      Long other = sections.get(two.twoId());
      if (one != null && other != null) {
        against.put(one, other, two.asks());
      }
    }
  }
}

package org.nineveils.app.making.kits;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.kit.Mark;
import org.springframework.stereotype.Service;

/** Signs that the maker puts on effects and sections for herself. */
@Service
public class Marks {
  private static final String EFFECT = "effect";
  private static final String SECTION = "section";

  private final MarkStore store;
  private final EffectService effects;
  private final KitService kits;
  private final Journal journal;

  Marks(MarkStore store, EffectService effects, KitService kits, Journal journal) {
    this.store = store;
    this.effects = effects;
    this.kits = kits;
    this.journal = journal;
  }

  /** Of the effects of a kit, by effect. */
  public Map<Long, Mark> ofEffects(long kitId) {
    return store.inKit(EFFECT, kitId);
  }

  /** Of the sections of a kit, by section. */
  public Map<Long, Mark> ofSections(long kitId) {
    return store.inKit(SECTION, kitId);
  }

  /** Marks effects, or takes their marks off, as one edit. */
  public void mark(List<Long> ids, Optional<Mark> mark) {
    Set<String> scopes = new LinkedHashSet<>();
    ids.forEach(id -> scopes.add(KitService.scope(effects.get(id).kitId())));
    String what = ids.size() == 1 ? effects.get(ids.get(0)).name() : ids.size() + " effects";
    journal.edit(
        scopes,
        mark.map(m -> "mark %s “%s”".formatted(what, m.word())).orElse("marks off " + what),
        "",
        () -> {
          ids.forEach(id -> store.put(EFFECT, id, mark));
          return null;
        });
  }

  /** Marks a section, or takes its mark off. */
  public void markSection(long id, Optional<Mark> mark) {
    Rows.Section section = kits.section(id);
    journal.edit(
        KitService.scope(section.kitId()),
        mark.map(m -> "mark %s “%s”".formatted(section.name(), m.word()))
            .orElse("mark off " + section.name()),
        () -> {
          store.put(SECTION, id, mark);
          return null;
        });
  }
}

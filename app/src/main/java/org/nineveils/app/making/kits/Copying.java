package org.nineveils.app.making.kits;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Copies effects with what belongs to them; for use within an edit. */
@Component
class Copying {
  private final EffectService effects;
  private final EffectStore store;
  private final EffectTagStore tags;
  private final List<GoesAlong> along;

  Copying(EffectService effects, EffectStore store, EffectTagStore tags, List<GoesAlong> along) {
    this.effects = effects;
    this.store = store;
    this.tags = tags;
    this.along = along;
  }

  /**
   * Copies an effect to the end of a section, under a free name.
   *
   * @return id of the copy
   */
  long beside(Rows.Effect effect, Rows.Section section) {
    String name = effects.freeName(section.kitId(), effect.name());
    long id = effects.insert(section, name, effect.id(), effect.doc());
    store.favour(id, effect.favourite());
    tags.of(effect.id()).forEach(tag -> tags.add(id, tag));
    return id;
  }

  /** Copies what other features keep; see {@link GoesAlong#copied}. */
  void along(Map<Long, Long> made, Map<Long, Long> sections, long fromKit, long toKit) {
    along.forEach(one -> one.copied(made, sections, fromKit, toKit));
  }
}

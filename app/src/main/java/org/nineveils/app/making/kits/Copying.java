package org.nineveils.app.making.kits;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Copies effects with what belongs to them; for use within an edit. */
@Component
class Copying {
  private final EffectService effects;
  private final OwnStore own;
  private final List<GoesAlong> along;

  Copying(EffectService effects, OwnStore own, List<GoesAlong> along) {
    this.effects = effects;
    this.own = own;
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
    own.put(id, own.of(effect));
    return id;
  }

  /** Copies what other features keep; see {@link GoesAlong#copied}. */
  void along(Map<Long, Long> made, Map<Long, Long> sections, long fromKit, long toKit) {
    along.forEach(one -> one.copied(made, sections, fromKit, toKit));
  }
}

package org.nineveils.app.making.kits;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.kit.MakersOwn;
import org.nineveils.kit.Mark;
import org.springframework.stereotype.Repository;

/** What the maker has noted of effects, over all tables that hold a part of it. */
@Repository
class OwnStore {
  private static final String EFFECT = "effect";

  private final EffectStore effects;
  private final EffectTagStore tags;
  private final MarkStore marks;

  OwnStore(EffectStore effects, EffectTagStore tags, MarkStore marks) {
    this.effects = effects;
    this.tags = tags;
    this.marks = marks;
  }

  /** Of every effect of a kit, by id. */
  Map<Long, MakersOwn> inKit(long kitId) {
    Map<Long, List<String>> tagged = tags.inKit(kitId);
    Map<Long, Mark> marked = marks.inKit(EFFECT, kitId);
    Map<Long, MakersOwn> out = new HashMap<>();
    for (Rows.Head e : effects.inKit(kitId)) {
      List<String> words = tagged.getOrDefault(e.id(), List.of());
      Optional<Mark> mark = Optional.ofNullable(marked.get(e.id()));
      out.put(e.id(), new MakersOwn(words, e.favourite(), mark));
    }
    return out;
  }

  MakersOwn of(Rows.Effect e) {
    return new MakersOwn(tags.of(e.id()), e.favourite(), marks.of(EFFECT, e.id()));
  }

  /** Notes all of it of an effect of which nothing is noted. */
  void put(long effectId, MakersOwn own) {
    effects.favour(effectId, own.favourite());
    own.tags().forEach(tag -> tags.add(effectId, tag));
    marks.put(EFFECT, effectId, own.mark());
  }
}

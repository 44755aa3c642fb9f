package org.nineveils.app.rack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.kits.EffectService;
import org.nineveils.app.kits.EffectTags;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.kits.Rows;
import org.nineveils.app.kits.Shaping;
import org.nineveils.app.kits.ShownOn;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.proofs.Summaries;
import org.nineveils.app.undo.Journal;
import org.nineveils.app.undo.Undo;
import org.nineveils.document.Json;
import org.springframework.stereotype.Component;

/** A kit as its page takes it: whole, after every act. */
@Component
class RackState {
  private final KitService kits;
  private final EffectService effects;
  private final EffectTags tags;
  private final Shaping shaping;
  private final ShownOn shown;
  private final Summaries summaries;
  private final Pieces pieces;
  private final Journal journal;

  RackState(
      KitService kits,
      EffectService effects,
      EffectTags tags,
      Shaping shaping,
      ShownOn shown,
      Summaries summaries,
      Pieces pieces,
      Journal journal) {
    this.kits = kits;
    this.effects = effects;
    this.tags = tags;
    this.shaping = shaping;
    this.shown = shown;
    this.summaries = summaries;
    this.pieces = pieces;
    this.journal = journal;
  }

  /** The state of a kit's rack. */
  Map<String, Object> of(long kitId) {
    Rows.Kit kit = kits.kit(kitId);
    List<Rows.FilledSection> filled = kits.filled(kitId);
    var folded = kits.folded(kitId);
    Undo undo = Undo.of(journal, KitService.scope(kitId));
    return Json.object(
        "kit", Json.object("id", kit.id(), "name", kit.name(), "purpose", kit.purpose()),
        "sections",
            filled.stream().map(f -> section(f, folded.contains(f.section().id()))).toList(),
        "effects", effects(kitId, filled),
        "photos", shown.photos(kitId).stream().map(RackState::photo).toList(),
        "cover", shown.cover(kitId),
        "tags", tags.all(),
        "canUndo", undo.canUndo(),
        "canRedo", undo.canRedo());
  }

  /**
   * The state after an act.
   *
   * <p>“edit” is the id of what was done, for the “Undo” of the sentence.
   *
   * @param said what happened, in a sentence; may be empty
   * @param made ids of effects that were added
   */
  Map<String, Object> after(long kitId, String said, List<Long> made) {
    Map<String, Object> state = of(kitId);
    state.put("said", said);
    state.put("edit", Undo.of(journal, KitService.scope(kitId)).edit());
    state.put("made", made);
    return state;
  }

  private static Map<String, Object> section(Rows.FilledSection filled, boolean folded) {
    Rows.Section s = filled.section();
    return Json.object(
        "id", s.id(),
        "number", s.number(),
        "name", s.name(),
        "rule", s.rule(),
        "folded", folded,
        "effects", filled.effects().stream().map(Rows.Head::id).toList());
  }

  private static Map<String, Object> photo(Photo photo) {
    return Json.object("id", photo.id(), "name", photo.name());
  }

  private List<Object> effects(long kitId, List<Rows.FilledSection> filled) {
    Map<Long, String> docs = effects.docs(kitId);
    Map<Long, List<String>> tagged = tags.inKit(kitId);
    Map<Long, Shaping.Followed> followed = shaping.followed(kitId);
    Map<Long, Summaries.Summary> proofs = summaries.of(kitId);
    Map<Long, String> names = new LinkedHashMap<>();
    filled.forEach(f -> f.effects().forEach(e -> names.put(e.id(), e.name())));
    List<Object> out = new ArrayList<>();
    for (Rows.FilledSection section : filled) {
      for (Rows.Head head : section.effects()) {
        Summaries.Summary proof = proofs.getOrDefault(head.id(), Summaries.NONE);
        Map<String, Object> one = pieces.of(head, docs.get(head.id()), proof);
        one.put("tags", tagged.getOrDefault(head.id(), List.of()));
        one.put(
            "variantOf", names.getOrDefault(head.variantOf() == null ? 0L : head.variantOf(), ""));
        Shaping.Followed source = followed.get(head.id());
        if (source != null) {
          one.put(
              "follows",
              Json.object(
                  "name", source.name(), "kit", source.kit(), "at", "/kits/" + source.kitId()));
        }
        out.add(one);
      }
    }
    return out;
  }
}

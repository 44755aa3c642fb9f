package org.nineveils.app.order.rack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.EffectTags;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Marks;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.kits.Shaping;
import org.nineveils.app.making.kits.ShownOn;
import org.nineveils.app.making.kits.WornRules;
import org.nineveils.app.making.swatches.Swatches;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.proof.sheet.Summaries;
import org.nineveils.document.Json;
import org.nineveils.kit.Health;
import org.nineveils.kit.Mark;
import org.springframework.stereotype.Component;

/** A kit as its page takes it: whole, after every act. */
@Component
class RackState {
  private final KitService kits;
  private final EffectService effects;
  private final EffectTags tags;
  private final WornRules worn;
  private final Marks marks;
  private final Shaping shaping;
  private final ShownOn shown;
  private final Summaries summaries;
  private final Pieces pieces;
  private final Swatches swatches;
  private final Journal journal;

  RackState(
      KitService kits,
      EffectService effects,
      EffectTags tags,
      WornRules worn,
      Marks marks,
      Shaping shaping,
      ShownOn shown,
      Summaries summaries,
      Pieces pieces,
      Swatches swatches,
      Journal journal) {
    this.kits = kits;
    this.effects = effects;
    this.tags = tags;
    this.worn = worn;
    this.marks = marks;
    this.shaping = shaping;
    this.shown = shown;
    this.summaries = summaries;
    this.pieces = pieces;
    this.swatches = swatches;
    this.journal = journal;
  }

  /** The state of a kit's rack. */
  Map<String, Object> of(long kitId) {
    Rows.Kit kit = kits.kit(kitId);
    List<Rows.FilledSection> filled = kits.filled(kitId);
    var folded = kits.folded(kitId);
    Map<Long, String> docs = effects.docs(kitId);
    Map<Long, Summaries.Summary> proofs = summaries.of(kitId);
    Map<Long, Mark> signs = marks.ofSections(kitId);
    Undo undo = Undo.of(journal, KitService.scope(kitId));
    return Json.object(
        "kit", Json.object("id", kit.id(), "name", kit.name(), "purpose", kit.purpose()),
        "sections",
            filled.stream()
                .map(
                    f -> section(f, folded.contains(f.section().id()), signs.get(f.section().id())))
                .toList(),
        "against", against(kitId),
        "effects", effects(kitId, filled, docs, proofs),
        "ills", ills(kitId, filled, docs, proofs),
        "swatches",
            swatches.unused().stream()
                .map(s -> Json.object("id", s.id(), "name", s.name()))
                .toList(),
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

  private static Map<String, Object> section(Rows.FilledSection filled, boolean folded, Mark mark) {
    Rows.Section s = filled.section();
    return Json.object(
        "id", s.id(),
        "number", s.number(),
        "name", s.name(),
        "rule", s.rule(),
        "folded", folded,
        "mark", mark == null ? "" : mark.id(),
        "effects", filled.effects().stream().map(Rows.Head::id).toList());
  }

  /** What is wrong with effects, as far as it is seen at once; see {@link Health}. */
  private List<Object> ills(
      long kitId,
      List<Rows.FilledSection> filled,
      Map<Long, String> docs,
      Map<Long, Summaries.Summary> proofs) {
    Set<Long> twice = effects.namedTwice(kitId);
    List<Health.Item> items =
        filled.stream()
            .flatMap(f -> f.effects().stream())
            .map(
                e ->
                    new Health.Item(
                        e.id(),
                        pieces.facts(e, docs.get(e.id())),
                        proofs.getOrDefault(e.id(), Summaries.NONE).proofed(),
                        twice.contains(e.id())))
            .toList();
    return Health.of(items).stream()
        .<Object>map(
            f ->
                Json.object(
                    "ill", f.ill().name(), "words", f.ill().words(), "effects", f.effects()))
        .toList();
  }

  /** How sections go with one another: of each that is not with all, [other, asks]. */
  private Map<String, Object> against(long kitId) {
    Map<String, Object> out = new LinkedHashMap<>();
    for (WornRules.Rule rule : worn.of(kitId)) {
      out.put(
          String.valueOf(rule.section()),
          rule.against().entrySet().stream().map(a -> List.of(a.getKey(), a.getValue())).toList());
    }
    return out;
  }

  private static Map<String, Object> photo(Photo photo) {
    return Json.object("id", photo.id(), "name", photo.name());
  }

  private List<Object> effects(
      long kitId,
      List<Rows.FilledSection> filled,
      Map<Long, String> docs,
      Map<Long, Summaries.Summary> proofs) {
    Map<Long, List<String>> tagged = tags.inKit(kitId);
    Map<Long, Shaping.Followed> followed = shaping.followed(kitId);
    Map<Long, Mark> marked = marks.ofEffects(kitId);
    Map<Long, String> names = new LinkedHashMap<>();
    filled.forEach(f -> f.effects().forEach(e -> names.put(e.id(), e.name())));
    List<Object> out = new ArrayList<>();
    for (Rows.FilledSection section : filled) {
      for (Rows.Head head : section.effects()) {
        Summaries.Summary proof = proofs.getOrDefault(head.id(), Summaries.NONE);
        Map<String, Object> one = pieces.of(head, docs.get(head.id()), proof);
        one.put("mark", marked.containsKey(head.id()) ? marked.get(head.id()).id() : "");
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

package org.nineveils.app.order.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.EffectTags;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Marks;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.kits.Shaping;
import org.nineveils.app.order.rack.Pieces;
import org.nineveils.app.proof.sheet.Summaries;
import org.nineveils.catalogue.Kinds;
import org.nineveils.kit.Mark;
import org.nineveils.kit.Query;
import org.nineveils.name.Names;
import org.nineveils.setting.Setting;
import org.nineveils.veil.VeilKind;
import org.springframework.stereotype.Service;

/** Finds effects in all kits. */
@Service
class FindService {
  private final FindStore store;
  private final KitService kits;
  private final EffectService effects;
  private final EffectTags tags;
  private final Marks marks;
  private final Shaping shaping;
  private final Summaries summaries;
  private final Pieces pieces;

  FindService(
      FindStore store,
      KitService kits,
      EffectService effects,
      EffectTags tags,
      Marks marks,
      Shaping shaping,
      Summaries summaries,
      Pieces pieces) {
    this.store = store;
    this.kits = kits;
    this.effects = effects;
    this.tags = tags;
    this.marks = marks;
    this.shaping = shaping;
    this.summaries = summaries;
    this.pieces = pieces;
  }

  /** A kit with those of its effects that were found. */
  record Found(Rows.Kit kit, List<Rows.Head> effects) {}

  /** What phrases can name now. */
  Query.Known known() {
    Map<String, String> kinds = new LinkedHashMap<>();
    Set<String> settings = new TreeSet<>();
    for (VeilKind kind : Kinds.all()) {
      kinds.put(kind.id(), kind.label());
      kind.settings().stream().map(Setting::label).forEach(settings::add);
    }
    return new Query.Known(
        tags.all(),
        kits.kits().stream().map(Rows.Kit::name).toList(),
        kinds,
        List.copyOf(settings));
  }

  /**
   * The kits in which something is found, with their effects as they hang; where words are looked
   * for, what holds them best comes first, and so does its kit.
   */
  List<Found> find(Query query) {
    Map<Long, Integer> worded = new HashMap<>();
    if (!query.words().isEmpty()) {
      store.effects(query.words()).forEach(id -> worded.put(id, worded.size()));
    }
    List<Found> out = new ArrayList<>();
    for (Rows.Kit kit : kits.kits()) {
      List<Rows.Head> hanging =
          kits.filled(kit.id()).stream()
              .flatMap(f -> f.effects().stream())
              .filter(e -> query.words().isEmpty() || worded.containsKey(e.id()))
              .sorted(Comparator.comparing(e -> worded.getOrDefault(e.id(), 0)))
              .toList();
      List<Rows.Head> taken = query.asksForFacts() ? taken(kit, hanging, query) : hanging;
      if (!taken.isEmpty()) {
        out.add(new Found(kit, taken));
      }
    }
    out.sort(Comparator.comparing(f -> worded.getOrDefault(f.effects().get(0).id(), 0)));
    return out;
  }

  private List<Rows.Head> taken(Rows.Kit kit, List<Rows.Head> heads, Query query) {
    if (heads.isEmpty() || !(query.kits().isEmpty() || query.kits().contains(key(kit)))) {
      return List.of();
    }
    Map<Long, String> docs = effects.docs(kit.id());
    Map<Long, List<String>> tagged = tags.inKit(kit.id());
    Map<Long, Mark> marked = marks.ofEffects(kit.id());
    Set<Long> follow = shaping.followed(kit.id()).keySet();
    Map<Long, Summaries.Summary> proofs = summaries.of(kit.id());
    return heads.stream()
        .filter(
            head ->
                query.takes(
                    new Query.Candidate(
                        key(kit),
                        keys(tagged.getOrDefault(head.id(), List.of())),
                        pieces.facts(head, docs.get(head.id())),
                        proofs.getOrDefault(head.id(), Summaries.NONE).proofed(),
                        marked.get(head.id()),
                        head.favourite(),
                        head.variantOf() != null,
                        follow.contains(head.id()),
                        pieces.facts(head, docs.get(head.id())).isOlder())))
        .toList();
  }

  private static String key(Rows.Kit kit) {
    return Names.key(kit.name());
  }

  private static Set<String> keys(List<String> names) {
    return names.stream().map(Names::key).collect(Collectors.toSet());
  }
}

package org.nineveils.app.making.kits;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Against;
import org.nineveils.kit.MakersOwn;
import org.nineveils.kit.Mark;
import org.nineveils.kit.StackingRule;
import org.nineveils.name.Names;
import org.nineveils.release.KitFile;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Kits as parts of a kit file: given out, and taken in as kits of their own. */
@Service
public class Carried {
  private static final String SECTION = "section";

  private final KitStore rows;
  private final EffectStore store;
  private final KitService kits;
  private final EffectService effects;
  private final OwnStore own;
  private final MarkStore marks;
  private final AgainstStore againstRows;
  private final WornRules rules;
  private final Journal journal;

  Carried(
      KitStore rows,
      EffectStore store,
      KitService kits,
      EffectService effects,
      OwnStore own,
      MarkStore marks,
      AgainstStore againstRows,
      WornRules rules,
      Journal journal) {
    this.rows = rows;
    this.store = store;
    this.kits = kits;
    this.effects = effects;
    this.own = own;
    this.marks = marks;
    this.againstRows = againstRows;
    this.rules = rules;
    this.journal = journal;
  }

  /** A kit as it is. */
  public KitFile.KitPart part(long kitId) {
    Rows.Kit kit = kits.kit(kitId);
    Map<Long, String> docs = effects.docs(kitId);
    Map<Long, MakersOwn> noted = own.inKit(kitId);
    Map<Long, Mark> signs = marks.inKit(SECTION, kitId);
    Map<Long, List<Against>> against = rules.against(kitId);
    List<Rows.FilledSection> filled = kits.filled(kitId);
    Map<Long, String> names = new HashMap<>();
    filled.forEach(f -> f.effects().forEach(e -> names.put(e.id(), e.name())));
    List<KitFile.SectionPart> sections = new ArrayList<>();
    for (Rows.FilledSection f : filled) {
      Rows.Section s = f.section();
      List<KitFile.EffectPart> parts =
          f.effects().stream()
              .map(
                  e ->
                      new KitFile.EffectPart(
                          e.name(),
                          EffectJson.parse(Json.read(docs.get(e.id()), e.name())),
                          noted.get(e.id()),
                          e.variantOf() == null ? "" : names.getOrDefault(e.variantOf(), "")))
              .toList();
      sections.add(
          new KitFile.SectionPart(
              s.number(),
              s.name(),
              StackingRule.ofId(s.rule()),
              against.get(s.id()),
              Optional.ofNullable(signs.get(s.id())),
              parts));
    }
    return new KitFile.KitPart(kit.name(), kit.purpose(), sections);
  }

  /** Names of kits that are taken. */
  public List<String> taken(List<KitFile.KitPart> parts) {
    return parts.stream()
        .map(KitFile.KitPart::name)
        .filter(name -> rows.kitNameTaken(name, 0))
        .toList();
  }

  /**
   * Takes kits in, as one edit; a name that is taken gets a number.
   *
   * @param also done within the same edit
   * @return ids of the kits
   */
  public List<Long> take(List<KitFile.KitPart> parts, Runnable also) {
    String what = parts.size() == 1 ? parts.get(0).name() : parts.size() + " kits";
    return journal.edit(
        "kits",
        "open " + what,
        () -> {
          also.run();
          return parts.stream().map(this::take).toList();
        });
  }

  private long take(KitFile.KitPart part) {
    long kit = rows.addKit(free(part.name()), part.purpose());
    Map<Integer, Long> numbers = new HashMap<>();
    Map<String, Long> made = new HashMap<>();
    for (KitFile.SectionPart s : part.sections()) {
      long section = rows.addSection(kit, s.name(), s.rule().id());
      numbers.put(s.number(), section);
      marks.put(SECTION, section, s.mark());
      for (KitFile.EffectPart e : s.effects()) {
        made.put(e.name(), take(e, kits.section(section)));
      }
    }
    for (KitFile.SectionPart s : part.sections()) {
      for (Against a : s.against()) {
        Long other = numbers.get(a.section());
        if (other != null && a.section() > s.number()) { // each two are named by both
          againstRows.put(numbers.get(s.number()), other, a.asks());
        }
      }
      for (KitFile.EffectPart e : s.effects()) {
        Long origin = made.get(e.variantOf());
        if (origin != null) {
          store.setOrigin(made.get(e.name()), origin);
        }
      }
    }
    return kit;
  }

  private long take(KitFile.EffectPart part, Rows.Section section) {
    Effect effect = part.effect();
    long id = effects.insert(section, part.name(), null, Json.write(EffectJson.format(effect)));
    own.put(id, part.own());
    return id;
  }

  private String free(String name) {
    String free = name;
    for (int n = 2; rows.kitNameTaken(free, 0); n++) {
      free = Names.numbered(name, n);
    }
    return free;
  }
}

package org.nineveils.app.making.kits;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Series;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Files several effects at once. Each act is one edit of every kit that it touches. */
@Service
public class Filing {
  /** Most names that are planned at once. */
  static final int MOST_PLANNED = 100;

  private final EffectStore store;
  private final KitService kits;
  private final EffectService effects;
  private final Copying copying;
  private final Journal journal;

  Filing(
      EffectStore store, KitService kits, EffectService effects, Copying copying, Journal journal) {
    this.store = store;
    this.kits = kits;
    this.effects = effects;
    this.copying = copying;
    this.journal = journal;
  }

  /**
   * Moves effects, in the order given, into a section.
   *
   * @param before effect of the section that they are put before; null for its end
   * @return what happened, in a sentence
   */
  public String move(List<Long> ids, long sectionId, Long before) {
    List<Rows.Effect> moved = all(ids);
    Rows.Section section = kits.section(sectionId);
    return edit(
        moved,
        section.kitId(),
        "move " + called(moved),
        () -> {
          List<String> renamed = new ArrayList<>();
          Set<Long> them = new LinkedHashSet<>(ids);
          List<Long> order = new ArrayList<>();
          boolean placed = false;
          for (Rows.Head head : store.inSection(sectionId)) {
            if (before != null && head.id() == before) {
              order.addAll(them);
              placed = true;
            }
            if (!them.contains(head.id())) {
              order.add(head.id());
            }
          }
          if (!placed) {
            order.addAll(them);
          }
          for (Rows.Effect effect : moved) {
            String name = freeName(section.kitId(), effect, renamed);
            store.file(effect.id(), section, effect.position(), name);
          }
          Order.number(order, store::place);
          return said(moved, section, renamed);
        });
  }

  private String freeName(long kitId, Rows.Effect effect, List<String> renamed) {
    if (effect.kitId() == kitId || !store.nameTaken(kitId, effect.name(), effect.id())) {
      return effect.name();
    }
    String name = effects.freeName(kitId, effect.name());
    renamed.add("“%s” is called “%s” there.".formatted(effect.name(), name));
    return name;
  }

  /**
   * Copies effects to the end of a section; each copy remembers where it came from.
   *
   * @return ids of the copies
   */
  public List<Long> copy(List<Long> ids, long sectionId) {
    List<Rows.Effect> from = all(ids);
    Rows.Section section = kits.section(sectionId);
    return edit(
        from,
        section.kitId(),
        "copy " + called(from),
        () -> {
          Map<Long, Long> made = new LinkedHashMap<>();
          from.forEach(effect -> made.put(effect.id(), copying.beside(effect, section)));
          copying.along(made, Map.of(), 0, section.kitId());
          return List.copyOf(made.values());
        });
  }

  /** Marks effects as favourites, or no longer. */
  public void favour(List<Long> ids, boolean on) {
    List<Rows.Effect> them = all(ids);
    edit(
        them,
        0,
        (on ? "favour " : "no longer favour ") + called(them),
        () -> {
          ids.forEach(id -> store.favour(id, on));
          return null;
        });
  }

  /**
   * Removes effects.
   *
   * @return what happened, in a sentence
   */
  public String remove(List<Long> ids) {
    List<Rows.Effect> them = all(ids);
    return edit(
        them,
        0,
        "remove " + called(them),
        () -> {
          ids.forEach(store::remove);
          return them.size() == 1
              ? "“%s” was removed.".formatted(them.get(0).name())
              : String.format(Locale.ROOT, "%d effects were removed.", them.size());
        });
  }

  /**
   * Plans effects: names without veils.
   *
   * @param names one a line as typed; empty ones are left out
   * @throws Refusal with a sentence if a name is no name or taken; then none is planned
   */
  public List<Long> plan(long sectionId, List<String> names) {
    Rows.Section section = kits.section(sectionId);
    List<String> wanted = names.stream().map(Names::clean).filter(n -> !n.isEmpty()).toList();
    if (wanted.isEmpty() || wanted.size() > MOST_PLANNED) {
      throw new Refusal(
          String.format(Locale.ROOT, "Name 1 to %d effects, one a line.", MOST_PLANNED));
    }
    String doc = Json.write(EffectJson.format(Effect.empty()));
    return edit(
        List.of(),
        section.kitId(),
        wanted.size() == 1
            ? "plan " + wanted.get(0)
            : String.format(Locale.ROOT, "plan %d effects", wanted.size()),
        () -> wanted.stream().map(name -> effects.insert(section, name, null, doc)).toList());
  }

  /**
   * Files a series behind the effect that it was made of.
   *
   * @return ids of what was filed
   */
  public List<Long> series(long fromId, List<Series.Step> steps) {
    Rows.Effect from = effects.get(fromId);
    Rows.Section section = kits.section(from.sectionId());
    return edit(
        List.of(from),
        section.kitId(),
        "a series of " + from.name(),
        () -> {
          List<Long> made = new ArrayList<>();
          for (Series.Step step : steps) {
            String doc = Json.write(EffectJson.format(step.effect()));
            made.add(effects.insert(section, step.name(), fromId, doc));
          }
          List<Long> order = new ArrayList<>();
          for (Rows.Head head : store.inSection(section.id())) {
            if (!made.contains(head.id())) {
              order.add(head.id());
            }
            if (head.id() == fromId) {
              order.addAll(made);
            }
          }
          Order.number(order, store::place);
          return made;
        });
  }

  /**
   * Updates effects to the newest edition of the engine; what is new already stays as it is.
   *
   * @return what happened, in a sentence
   */
  public String update(List<Long> ids) {
    List<Rows.Effect> older = all(ids).stream().filter(e -> effects.effect(e).isOlder()).toList();
    if (older.isEmpty()) {
      return "They are made with the newest edition already.";
    }
    return edit(
        older,
        0,
        "update " + called(older),
        () -> {
          older.forEach( // as each is now, not as it was when it was picked
              e -> store.store(e.id(), effects.effect(effects.get(e.id())).updated()));
          String what =
              older.size() == 1
                  ? "“%s” is".formatted(older.get(0).name())
                  : String.format(Locale.ROOT, "%d effects are", older.size());
          return String.format(Locale.ROOT, "%s of edition %d now.", what, Editions.current());
        });
  }

  private List<Rows.Effect> all(List<Long> ids) {
    if (ids.isEmpty()) {
      throw new Refusal("Pick an effect first.");
    }
    return ids.stream().distinct().map(effects::get).toList();
  }

  /** One edit in the scopes of all kits that it touches. */
  private <T> T edit(List<Rows.Effect> them, long kitId, String label, Supplier<T> work) {
    Set<String> scopes = new LinkedHashSet<>();
    them.forEach(e -> scopes.add(KitService.scope(e.kitId())));
    if (kitId != 0) {
      scopes.add(KitService.scope(kitId));
    }
    return journal.edit(scopes, label, "", work);
  }

  private static String called(List<Rows.Effect> them) {
    return them.size() == 1 ? them.get(0).name() : them.size() + " effects";
  }

  private static String said(List<Rows.Effect> moved, Rows.Section section, List<String> renamed) {
    if (moved.stream().allMatch(e -> e.sectionId() == section.id())) {
      return "";
    }
    String what =
        moved.size() == 1
            ? "“%s” hangs".formatted(moved.get(0).name())
            : String.format(Locale.ROOT, "%d effects hang", moved.size());
    String where =
        String.format(Locale.ROOT, "%s in section %d, %s.", what, section.number(), section.name());
    return renamed.isEmpty() ? where : where + " " + String.join(" ", renamed);
  }
}

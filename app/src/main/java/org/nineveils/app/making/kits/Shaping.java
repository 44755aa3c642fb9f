package org.nineveils.app.making.kits;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Makes kits of kits: duplicates, splits, merges, kits that follow others. */
@Service
public class Shaping {
  private final KitStore kitRows;
  private final EffectStore store;
  private final KitService kits;
  private final EffectService effects;
  private final FollowStore follows;
  private final ShownStore shown;
  private final Copying copying;
  private final Journal journal;

  Shaping(
      KitStore kitRows,
      EffectStore store,
      KitService kits,
      EffectService effects,
      FollowStore follows,
      ShownStore shown,
      Copying copying,
      Journal journal) {
    this.kitRows = kitRows;
    this.store = store;
    this.kits = kits;
    this.effects = effects;
    this.follows = follows;
    this.shown = shown;
    this.copying = copying;
    this.journal = journal;
  }

  /** What the effects of a kit follow, by effect. */
  public Map<Long, Followed> followed(long kitId) {
    Map<Long, Followed> out = new LinkedHashMap<>();
    follows
        .inKit(kitId)
        .forEach((id, s) -> out.put(id, new Followed(s.sourceId(), s.name(), s.kitId(), s.kit())));
    return out;
  }

  /** What an effect follows, with its names. */
  public record Followed(long effect, String name, long kitId, String kit) {}

  /**
   * Copies a kit with all that belongs to it.
   *
   * @return id of the copy
   */
  public long duplicate(long kitId, String name) {
    Rows.Kit kit = kits.kit(kitId);
    String clean = free(name);
    return edit(
        Set.of("kits", KitService.scope(kitId)),
        "duplicate " + kit.name(),
        () -> {
          long made = kitRows.addKit(clean, kit.purpose());
          Map<Long, Long> sections = new LinkedHashMap<>();
          Map<Long, Long> copies = new LinkedHashMap<>();
          for (Rows.FilledSection filled : kits.filled(kitId)) {
            long id = section(made, filled.section());
            sections.put(filled.section().id(), id);
            Rows.Section section = kits.section(id);
            for (Rows.Head head : filled.effects()) {
              copies.put(head.id(), copying.beside(effects.get(head.id()), section));
            }
          }
          shownAs(kitId, made);
          copying.along(copies, sections, kitId, made);
          return made;
        });
  }

  private void shownAs(long from, long to) {
    shown.photos(from).forEach(photo -> shown.add(to, photo));
    shown.cover(from).ifPresent(photo -> shown.setCover(to, photo));
  }

  private long section(long kitId, Rows.Section like) {
    return kitRows.addSection(kitId, like.name(), like.rule());
  }

  /**
   * Makes a new kit of effects of one, which leave it.
   *
   * @return id of the new kit
   */
  public long split(long kitId, List<Long> ids, String name) {
    return part(
        kitId,
        ids,
        name,
        "split",
        (effect, section) -> {
          store.file(effect.id(), section, effect.position(), effect.name());
          return effect.id();
        });
  }

  /**
   * Makes a lite kit: its effects have the veils and notes of the chosen ones, and change with
   * them.
   *
   * @return id of the new kit
   */
  public long lite(long kitId, List<Long> ids, String name) {
    return part(
        kitId,
        ids,
        name,
        "a lite kit of",
        (effect, section) -> {
          long id = copying.beside(effect, section);
          long source =
              follows.of(effect.id()).map(FollowStore.Source::sourceId).orElse(effect.id());
          follows.follow(id, source);
          return id;
        });
  }

  private interface Hanging {
    long hang(Rows.Effect effect, Rows.Section section);
  }

  private long part(long kitId, List<Long> ids, String name, String what, Hanging hanging) {
    Rows.Kit kit = kits.kit(kitId);
    String clean = free(name);
    Set<Long> picked = new LinkedHashSet<>(ids);
    if (picked.isEmpty()) {
      throw new Refusal("Pick the effects first that the new kit is to hold.");
    }
    return edit(
        Set.of("kits", KitService.scope(kitId)),
        "%s %s".formatted(what, kit.name()),
        () -> {
          long made = kitRows.addKit(clean, kit.purpose());
          Map<Long, Long> sections = new LinkedHashMap<>();
          Map<Long, Long> copies = new LinkedHashMap<>();
          for (Rows.FilledSection filled : kits.filled(kitId)) {
            List<Rows.Head> here =
                filled.effects().stream().filter(e -> picked.contains(e.id())).toList();
            if (!here.isEmpty()) {
              long id = section(made, filled.section());
              sections.put(filled.section().id(), id);
              for (Rows.Head head : here) {
                long hung = hanging.hang(effects.get(head.id()), kits.section(id));
                if (hung != head.id()) {
                  copies.put(head.id(), hung);
                }
              }
            }
          }
          shownAs(kitId, made);
          copying.along(copies, sections, kitId, made);
          return made;
        });
  }

  /**
   * Lets effects that follow others go their own way, from how they are now.
   *
   * @throws Refusal with a sentence if none follows another
   */
  public void letGo(List<Long> ids) {
    List<Rows.Effect> them =
        ids.stream().map(effects::get).filter(e -> follows.of(e.id()).isPresent()).toList();
    if (them.isEmpty()) {
      throw new Refusal("None of them follows another effect.");
    }
    Set<String> scopes = new LinkedHashSet<>();
    them.forEach(e -> scopes.add(KitService.scope(e.kitId())));
    String what = them.size() == 1 ? them.get(0).name() : them.size() + " effects";
    edit(
        scopes,
        "let %s go its own way".formatted(what),
        () -> {
          them.forEach(e -> follows.letGo(e.id()));
          return null;
        });
  }

  /**
   * Hangs all effects of another kit in this one: in the section of the same name, or in one that
   * is added; then the other kit is removed.
   *
   * @return what happened, in a sentence
   * @throws Refusal with a sentence if it is the same kit
   */
  public String merge(long kitId, long otherId) {
    Rows.Kit kit = kits.kit(kitId);
    Rows.Kit other = kits.kit(otherId);
    if (kitId == otherId) {
      throw new Refusal("A kit cannot be merged with itself.");
    }
    return edit(
        Set.of("kits", KitService.scope(kitId)),
        "merge %s into %s".formatted(other.name(), kit.name()),
        () -> {
          List<String> renamed = new ArrayList<>();
          int hung = 0;
          for (Rows.FilledSection filled : kits.filled(otherId)) {
            Rows.Section section = kits.section(sectionLike(kitId, filled.section()));
            int last = store.last(section.id());
            for (Rows.Head head : filled.effects()) {
              String name = head.name();
              if (store.nameTaken(kitId, name, head.id())) {
                name = effects.freeName(kitId, name);
                renamed.add("“%s” is called “%s” here.".formatted(head.name(), name));
              }
              store.file(head.id(), section, ++last, name);
              hung++;
            }
          }
          kitRows.removeKit(otherId);
          String said =
              String.format(
                  Locale.ROOT,
                  "%d %s of “%s” %s here now.",
                  hung,
                  hung == 1 ? "effect" : "effects",
                  other.name(),
                  hung == 1 ? "hangs" : "hang");
          return renamed.isEmpty() ? said : said + " " + String.join(" ", renamed);
        });
  }

  private long sectionLike(long kitId, Rows.Section other) {
    return kits.sections(kitId).stream()
        .filter(s -> Names.key(s.name()).equals(Names.key(other.name())))
        .map(Rows.Section::id)
        .findFirst()
        .orElseGet(() -> section(kitId, other));
  }

  private String free(String name) {
    String clean = Names.check("A kit", name);
    if (kitRows.kitNameTaken(clean, 0)) {
      throw Conflict.taken("a kit", clean);
    }
    return clean;
  }

  private <T> T edit(Set<String> scopes, String label, Supplier<T> work) {
    return journal.edit(scopes, label, "", work);
  }
}

package org.nineveils.app.making.kits;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Effects as filed in kits. Filing is an edit of the kit; the veils are an edit of the effect. */
@Service
public class EffectService {
  private final EffectStore store;
  private final FollowStore follows;
  private final KitService kits;
  private final Journal journal;

  EffectService(EffectStore store, FollowStore follows, KitService kits, Journal journal) {
    this.store = store;
    this.follows = follows;
    this.kits = kits;
    this.journal = journal;
  }

  /** What undo at the bench looks at. */
  public static String scope(long effectId) {
    return "effect:" + effectId;
  }

  /**
   * The effect of that id.
   *
   * @throws NotFound with a sentence if there is none
   */
  public Rows.Effect get(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This effect is no longer here."));
  }

  public Optional<Rows.Effect> find(long id) {
    return store.find(id);
  }

  /** The effect that was worked on last. */
  public Optional<Rows.Effect> latest() {
    return store.latest();
  }

  /** Effects of a kit that were made with an older edition of the engine. */
  public Set<Long> older(long kitId) {
    return store.before(kitId, Editions.current());
  }

  /** Kinds with their settings, as JSON, of all veils that hang anywhere. */
  public Set<String> hung() {
    return store.hung();
  }

  /** Ids of the effects of a kit. */
  public List<Long> ids(long kitId) {
    return store.ids(kitId);
  }

  /** The documents of all effects of a kit, by id. */
  public Map<Long, String> docs(long kitId) {
    return store.docs(kitId);
  }

  /** Effects of a kit that are called like one of another kit. */
  public Set<Long> namedTwice(long kitId) {
    return store.named(kitId);
  }

  /** What an effect follows, in words; empty where it goes its own way. */
  public String followed(long id) {
    return follows.of(id).map(s -> "follows “%s” of %s".formatted(s.name(), s.kit())).orElse("");
  }

  /** The veils and note of an effect as filed. */
  public Effect effect(Rows.Effect row) {
    return EffectJson.parse(Json.read(row.doc(), "“%s”".formatted(row.name())));
  }

  public long add(long sectionId, String name, Effect effect) {
    return add(sectionId, name, null, Json.write(EffectJson.format(effect)));
  }

  /** Copies an effect beside itself; the copy remembers where it came from. */
  public long addVariant(long id) {
    Rows.Effect from = get(id);
    String name = freeName(from.kitId(), from.name() + " variant");
    return add(from.sectionId(), name, id, from.doc());
  }

  /**
   * Lets an effect remember that it came from another.
   *
   * @param page what undo on the page looks at
   */
  public void makeVariant(long id, long origin, String page) {
    Rows.Effect effect = get(id);
    Rows.Effect from = get(origin);
    journal.edit(
        both(effect, page),
        "%s as a variant of %s".formatted(effect.name(), from.name()),
        "",
        () -> {
          store.setOrigin(id, origin);
          return null;
        });
  }

  /** The kit and the page that did it, which may be the kit's own. */
  private static Set<String> both(Rows.Effect effect, String page) {
    Set<String> scopes = new LinkedHashSet<>();
    scopes.add(KitService.scope(effect.kitId()));
    scopes.add(page);
    return scopes;
  }

  private long add(long sectionId, String name, Long variantOf, String doc) {
    Rows.Section section = kits.section(sectionId);
    String clean = Names.check("An effect", name);
    return journal.edit(
        KitService.scope(section.kitId()),
        "add " + clean,
        () -> insert(section, clean, variantOf, doc));
  }

  /**
   * Adds an effect within an edit that is under way.
   *
   * @throws Conflict with a sentence if the name is taken
   */
  long insert(Rows.Section section, String name, Long variantOf, String doc) {
    String clean = Names.check("An effect", name);
    checkName(section.kitId(), clean, 0);
    return store.add(section, clean, variantOf, doc);
  }

  /**
   * Gives an effect another name or files it in another section, of this kit or another; both kits
   * can take that back.
   */
  public void file(long id, long sectionId, String name) {
    Rows.Effect effect = get(id);
    Rows.Section section = kits.section(sectionId);
    String clean = Names.check("An effect", name);
    Set<String> scopes = new LinkedHashSet<>();
    scopes.add(KitService.scope(effect.kitId()));
    scopes.add(KitService.scope(section.kitId()));
    journal.edit(
        scopes,
        "file " + effect.name(),
        "",
        () -> {
          checkName(section.kitId(), clean, id);
          boolean stays = effect.sectionId() == sectionId;
          int place = stays ? effect.position() : store.last(sectionId) + 1;
          store.file(id, section, place, clean);
          return null;
        });
  }

  /** Marks an effect as a favourite, or no longer. */
  public void favour(long id, boolean favourite) {
    Rows.Effect effect = get(id);
    journal.edit(
        KitService.scope(effect.kitId()),
        (favourite ? "favour " : "no longer favour ") + effect.name(),
        () -> {
          store.favour(id, favourite);
          return null;
        });
  }

  public void remove(long id) {
    remove(id, KitService.scope(get(id).kitId()));
  }

  /**
   * Removes an effect on another page than the kit's, which can take it back as well.
   *
   * @param page what undo on that page looks at
   */
  public void remove(long id, String page) {
    Rows.Effect effect = get(id);
    journal.edit(
        both(effect, page),
        "remove " + effect.name(),
        "",
        () -> {
          store.remove(id);
          return null;
        });
  }

  /**
   * Saves the veils and note.
   *
   * @throws Conflict with a sentence if the effect was changed meanwhile; then nothing is changed
   */
  public void save(long id, Save save, Effect effect) {
    edit(id, save, () -> store.meeting(id, save, effect));
  }

  /**
   * Changes the veils and note as they are now, together with something else, as one edit.
   *
   * @param also changes rows that belong to it
   * @throws Conflict with a sentence if the effect was changed since the state that the change was
   *     made on; then nothing is changed
   */
  public void change(long id, Save on, UnaryOperator<Effect> change, Runnable also) {
    edit(
        id,
        on,
        () -> {
          Optional<Effect> next = store.now(id, on).map(change);
          also.run();
          return next;
        });
  }

  /**
   * The same on another page than the bench, which can take it back as well.
   *
   * @param page what undo on that page looks at
   */
  public void change(long id, Save on, String page, UnaryOperator<Effect> change) {
    edit(id, on, Set.of(scope(id), page), () -> store.now(id, on).map(change));
  }

  private void edit(long id, Save save, Supplier<Optional<Effect>> next) {
    edit(id, save, Set.of(scope(id)), next);
  }

  private void edit(long id, Save save, Set<String> scopes, Supplier<Optional<Effect>> next) {
    String name = get(id).name();
    follows.of(id).ifPresent(source -> refuse(name, source));
    journal.edit(
        scopes,
        save.label(),
        save.gesture(),
        () -> {
          store.store(id, next.get().orElseThrow(() -> Conflict.stale("“%s”".formatted(name))));
          return null;
        });
  }

  private static void refuse(String name, FollowStore.Source source) {
    throw new Refusal(
        "“%s” follows “%s” of %s. Change it there, or let it go its own way on the page of its kit."
            .formatted(name, source.name(), source.kit()));
  }

  /** The name, or with a number behind it, that no effect of the kit has. */
  String freeName(long kitId, String base) {
    String name = Names.cut(base, Names.MAX);
    for (int n = 2; store.nameTaken(kitId, name, 0); n++) {
      name = Names.numbered(base, n);
    }
    return name;
  }

  private void checkName(long kitId, String name, long besides) {
    if (store.nameTaken(kitId, name, besides)) {
      throw Conflict.taken("an effect in this kit", name);
    }
  }
}

package org.nineveils.app.making.kits;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Tags of effects: the maker's own words, one effect's or several's at once. */
@Service
public class EffectTags {
  /** Most tags of an effect. */
  static final int MOST = 12;

  /** Longest tag, in code points. */
  static final int LONGEST = 30;

  private final EffectTagStore store;
  private final EffectService effects;
  private final Journal journal;

  EffectTags(EffectTagStore store, EffectService effects, Journal journal) {
    this.store = store;
    this.effects = effects;
    this.journal = journal;
  }

  /** Tags of a kit's effects by effect; effects without any are left out. */
  public Map<Long, List<String>> inKit(long kitId) {
    return store.inKit(kitId);
  }

  /** Every tag that is used, by name. */
  public List<String> all() {
    return store.all().stream().map(EffectTagStore.Count::tag).toList();
  }

  /**
   * Gives effects a tag, or takes it off them, as one edit.
   *
   * @throws Refusal with a sentence if it is no tag, or an effect has too many
   */
  public void tag(List<Long> ids, String tag, boolean on) {
    String clean = check(tag);
    List<Rows.Effect> them = ids.stream().distinct().map(effects::get).toList();
    Set<String> scopes = new LinkedHashSet<>();
    them.forEach(e -> scopes.add(KitService.scope(e.kitId())));
    if (them.isEmpty()) {
      throw new Refusal("Pick an effect first.");
    }
    String what = them.size() == 1 ? them.get(0).name() : them.size() + " effects";
    journal.edit(
        scopes,
        (on ? "tag %s “%s”" : "%s no longer “%s”").formatted(what, clean),
        "",
        () -> {
          for (Rows.Effect effect : them) {
            if (on) {
              add(effect, clean);
            } else {
              store.remove(effect.id(), clean);
            }
          }
          return null;
        });
  }

  private void add(Rows.Effect effect, String tag) {
    List<String> has = store.of(effect.id());
    boolean there = has.stream().anyMatch(t -> Names.key(t).equals(Names.key(tag)));
    if (!there && has.size() >= MOST) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "“%s” has %d tags, and an effect has no more; nothing was changed.",
              effect.name(),
              MOST));
    }
    store.add(effect.id(), tag);
  }

  private static String check(String tag) {
    String clean = Names.clean(tag).replaceFirst("^#\\s*", "");
    if (clean.isEmpty() || clean.codePointCount(0, clean.length()) > LONGEST) {
      throw new Refusal(
          String.format(Locale.ROOT, "A tag is a word or a few, of 1 to %d characters.", LONGEST));
    }
    if (clean.chars().anyMatch(Character::isISOControl)) {
      throw new Refusal("A tag stands in one line.");
    }
    return clean;
  }
}

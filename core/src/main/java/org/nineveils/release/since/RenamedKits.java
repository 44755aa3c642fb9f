package org.nineveils.release.since;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.nineveils.name.Names;
import org.nineveils.release.Release;

/** Kits that have another name than in the release before: told by the effects that they share. */
final class RenamedKits {
  private RenamedKits() {}

  /**
   * By name now, the kit that it was.
   *
   * @return only kits whose name is new, and that share at least half of the effects' names with
   *     one whose name is gone
   */
  static Map<String, Release.KitPart> of(Release old, Release now) {
    Set<String> gone = names(old);
    gone.removeAll(names(now));
    Set<String> there = names(old);
    Map<String, Release.KitPart> out = new LinkedHashMap<>();
    for (Release.KitPart kit : now.kits()) {
      if (!there.contains(Names.key(kit.name()))) {
        Release.KitPart was = nearest(kit, old, gone);
        if (was != null) {
          out.put(kit.name(), was);
          gone.remove(Names.key(was.name()));
        }
      }
    }
    return out;
  }

  private static Set<String> names(Release release) {
    return release.kits().stream()
        .map(k -> Names.key(k.name()))
        .collect(Collectors.toCollection(HashSet::new));
  }

  private static Release.KitPart nearest(Release.KitPart kit, Release old, Set<String> gone) {
    Release.KitPart best = null;
    int most = 0;
    List<String> own = effects(kit);
    for (Release.KitPart other : old.kits()) {
      List<String> theirs = effects(other);
      int shared = (int) own.stream().filter(theirs::contains).count();
      boolean enough = 2 * shared >= Math.min(own.size(), theirs.size());
      if (gone.contains(Names.key(other.name())) && enough && shared > most) {
        best = other;
        most = shared;
      }
    }
    return best;
  }

  private static List<String> effects(Release.KitPart kit) {
    return kit.sections().stream()
        .flatMap(s -> s.effects().stream())
        .map(e -> Names.key(e.name()))
        .toList();
  }
}

package org.nineveils.app.shop.desk;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.nineveils.name.Names;
import org.nineveils.release.Release;
import org.springframework.stereotype.Service;

/** Finds effects across all releases at the desk, by words and by favourites. */
@Service
class DeskSearch {
  private final DeskService desk;
  private final FavouriteStore favourites;

  DeskSearch(DeskService desk, FavouriteStore favourites) {
    this.desk = desk;
    this.favourites = favourites;
  }

  /**
   * An effect that was found.
   *
   * @param where kit and section
   */
  record Found(DeskRow release, String where, Release.EffectPart part, boolean favourite) {}

  /**
   * Effects of which name, note, section or kit hold all of the words.
   *
   * @param only favourites alone
   */
  List<Found> find(String typed, boolean only) {
    List<String> words =
        Arrays.stream(Names.key(typed).split("\\s+", -1)).filter(w -> !w.isEmpty()).toList();
    List<Found> out = new ArrayList<>();
    for (DeskRow row : desk.all()) {
      Set<String> marked = favourites.of(row.id());
      for (Release.KitPart kit : desk.release(row).kits()) {
        for (Release.SectionPart section : kit.sections()) {
          String where = "%s, %s".formatted(kit.name(), section.name());
          section.effects().stream()
              .filter(e -> !only || marked.contains(e.key()))
              .filter(e -> holds(where, e, words))
              .forEach(e -> out.add(new Found(row, where, e, marked.contains(e.key()))));
        }
      }
    }
    return out;
  }

  private static boolean holds(String where, Release.EffectPart effect, List<String> words) {
    String text = Names.key(String.join(" ", effect.name(), where, effect.effect().note()));
    return words.stream().allMatch(text::contains);
  }
}

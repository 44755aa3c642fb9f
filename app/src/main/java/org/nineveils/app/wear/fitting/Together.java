package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/**
 * Takes another wardrobe to a fitting's own, for every photo that wears of it, and puts it away.
 */
@Service
class Together {
  private final Wardrobes wardrobes;
  private final TogetherStore store;
  private final FittingService fittings;
  private final Journal journal;

  Together(Wardrobes wardrobes, TogetherStore store, FittingService fittings, Journal journal) {
    this.wardrobes = wardrobes;
    this.store = store;
    this.fittings = fittings;
    this.journal = journal;
  }

  /**
   * Takes another one to it.
   *
   * @return the sentence that says what happened
   * @throws Refusal if it is the fitting's own, or of the other side
   */
  String take(long id, String other) {
    FittingRow row = fittings.get(id);
    Wardrobe found = wardrobes.open(other);
    if (other.equals(row.wardrobe()) || found.side() != wardrobes.open(row.wardrobe()).side()) {
      throw new Refusal("“%s” cannot be worn with itself.".formatted(found.title()));
    }
    journal.edit(
        FittingService.scope(id),
        "wear %s too".formatted(found.title()),
        () -> {
          store.add(row.wardrobe(), other);
          return null;
        });
    return "What is worn of “%s” goes over the rest.".formatted(found.title());
  }

  /** Puts it away; what this photo wears of it is taken off. */
  String putAway(long id, String other) {
    FittingRow row = fittings.get(id);
    String called =
        wardrobes.of(row).others().stream()
            .filter(o -> o.wardrobe().equals(other))
            .map(WardrobeSource.Choice::title)
            .findFirst()
            .orElse("");
    String title = called.isEmpty() ? "It" : "“%s”".formatted(called);
    int off =
        journal.edit(
            FittingService.scope(id),
            "put %s away".formatted(called.isEmpty() ? "a kit" : called),
            () -> {
              store.remove(row.wardrobe(), other);
              Fitting worn = fittings.unpainted(fittings.get(id));
              List<Worn> left = new ArrayList<>(worn.worn());
              left.removeIf(
                  w ->
                      OtherKey.parse(w.effect())
                          .filter(k -> k.wardrobe().equals(other))
                          .isPresent());
              fittings.put(id, new Fitting(left));
              return worn.worn().size() - left.size();
            });
    return off == 0
        ? "%s is put away.".formatted(title)
        : String.format(
            Locale.ROOT,
            "%s is put away; %d of its effects %s taken off this photo.",
            title,
            off,
            off == 1 ? "was" : "were");
  }
}

package org.nineveils.app.wear.fitting;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The wardrobes of all sides, and which of them are worn together in a fitting. */
@Component
class Wardrobes {
  /** With its effect, at a guess. */
  private static final long BYTES_A_PIECE = 6000;

  private final List<WardrobeSource> sources;
  private final TogetherStore together;
  private final Journal journal;
  private final Shelf<String, Wardrobe> kept;

  Wardrobes(List<WardrobeSource> sources, TogetherStore together, Journal journal, Budget budget) {
    this.sources = sources;
    this.together = together;
    this.journal = journal;
    this.kept = budget.shelf("wardrobes", w -> BYTES_A_PIECE * (1 + w.pieces().size()));
  }

  /**
   * The wardrobe of that name.
   *
   * @param name “prefix:id”
   * @throws NotFound with a sentence if there is none
   */
  Wardrobe open(String name) {
    String[] parts = name.split(":", 2);
    if (parts.length == 2 && parts[1].matches("[0-9]{1,18}")) {
      for (WardrobeSource source : sources) {
        if (source.prefix().equals(parts[0])) {
          return opened(source, name, Long.parseLong(parts[1]));
        }
      }
    }
    throw new NotFound("This wardrobe is no longer here.");
  }

  /**
   * What a source offers, as long as nothing was changed anywhere: every picture of a preview asks
   * for it. Within an edit it is read anew, since what that changes may be taken back.
   */
  private Wardrobe opened(WardrobeSource source, String name, long id) {
    return TransactionSynchronizationManager.isActualTransactionActive()
        ? source.open(id)
        : kept.get("%s at %s".formatted(name, journal.place()), () -> source.open(id));
  }

  /** Who vouches for a wardrobe; empty for what is the user's own. */
  Optional<Vouched> vouched(String name) {
    String[] parts = name.split(":", 2);
    return sources.stream()
        .filter(s -> s.prefix().equals(parts[0]))
        .findFirst()
        .flatMap(s -> s.vouched(Long.parseLong(parts[1])));
  }

  /** What fittings of one side can choose from. */
  List<WardrobeSource.Choice> choices(String prefix) {
    return sources.stream()
        .filter(s -> s.prefix().equals(prefix))
        .flatMap(s -> s.choices().stream())
        .toList();
  }

  /** What a fitting can put on: its own wardrobe and those that are worn with it. */
  Wardrobe of(FittingRow row) {
    return of(row, stored(row));
  }

  /** The same for another state of it, such as a pin, which may wear of what was put away since. */
  Wardrobe of(FittingRow row, Fitting state) {
    Wardrobe own = open(row.wardrobe());
    Map<String, Wardrobe> others = others(row, state);
    return others.isEmpty() ? own : own.with(others);
  }

  private static Fitting stored(FittingRow row) {
    return FittingJson.parse(Json.read(row.doc(), "The fitting"));
  }

  /** Wardrobes worn with a fitting's own, by name: those taken to it, and whatever it wears of. */
  private Map<String, Wardrobe> others(FittingRow row, Fitting state) {
    Set<String> names = new LinkedHashSet<>(together.of(row.wardrobe()));
    for (Worn worn : state.worn()) {
      OtherKey.parse(worn.effect()).ifPresent(key -> names.add(key.wardrobe()));
    }
    Map<String, Wardrobe> out = new LinkedHashMap<>();
    for (String name : names) {
      found(name).ifPresent(wardrobe -> out.put(name, wardrobe));
    }
    return out;
  }

  /** The wardrobe of that name; empty where it is gone. */
  Optional<Wardrobe> found(String name) {
    try {
      return Optional.of(open(name));
    } catch (NotFound gone) {
      return Optional.empty(); // its effects are left out, as any that are gone
    }
  }

  /** What could be worn with a fitting's own wardrobe besides. */
  List<WardrobeSource.Choice> besides(FittingRow row, Wardrobe worn) {
    return choices(row.wardrobe().split(":", 2)[0]).stream()
        .filter(c -> !c.wardrobe().equals(row.wardrobe()))
        .filter(c -> worn.others().stream().noneMatch(o -> o.wardrobe().equals(c.wardrobe())))
        .toList();
  }
}

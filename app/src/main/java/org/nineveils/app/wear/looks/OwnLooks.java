package org.nineveils.app.wear.looks;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.wear.fitting.Anywhere;
import org.nineveils.app.wear.fitting.FittingRow;
import org.nineveils.app.wear.fitting.FittingService;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Worn;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/**
 * Keeps what a photo wears as a look with a name, and lets other photos wear it. Looks follow the
 * releases that their effects are of, see {@link OwnLookKeys}.
 */
@Service
public class OwnLooks {
  /** What undo of looks looks at: the desk, as its releases. */
  public static final String SCOPE = "desk";

  /** Most looks. */
  static final int MOST = 200;

  private final OwnLookStore store;
  private final FittingService fittings;
  private final Anywhere anywhere;
  private final Journal journal;

  OwnLooks(OwnLookStore store, FittingService fittings, Anywhere anywhere, Journal journal) {
    this.store = store;
    this.fittings = fittings;
    this.anywhere = anywhere;
    this.journal = journal;
  }

  /** All, by name. */
  public List<OwnLook> all() {
    return store.all();
  }

  /**
   * The look of that id.
   *
   * @throws NotFound with a sentence if there is none
   */
  public OwnLook get(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This look is no longer here."));
  }

  /** Names of what is in a look, in its order; what is gone has none. */
  public List<String> names(OwnLook look) {
    return look.look().worn().stream()
        .map(Worn::effect)
        .map(anywhere.offers())
        .filter(Objects::nonNull)
        .map(Offer::name)
        .toList();
  }

  /** What of a look is not at the desk, in one sentence; empty where all of it is. */
  public String missing(OwnLook look) {
    Set<String> titles = new LinkedHashSet<>();
    Function<String, Offer> offers = anywhere.offers();
    for (Worn worn : look.look().worn()) {
      if (offers.apply(worn.effect()) == null) {
        String title = look.gone().get(Anywhere.wardrobeOf(worn.effect()));
        titles.add(title == null ? "an effect of it" : "“" + title + "”");
      }
    }
    return titles.isEmpty()
        ? ""
        : "%s %s not at the desk: take %s in again to wear this look."
            .formatted(
                String.join(", ", titles),
                titles.size() == 1 ? "is" : "are",
                titles.size() == 1 ? "it" : "them");
  }

  /**
   * Keeps what a photo wears now.
   *
   * @return the sentence that says so
   * @throws Refusal if nothing is worn, the name is taken, or the photo is the maker's
   */
  public String keep(long fitting, String name) {
    FittingRow row = fittings.get(fitting);
    checkSide(row);
    String clean = Names.check("A look", name);
    Fitting worn = fittings.fitting(row);
    if (worn.worn().isEmpty()) {
      throw new Refusal("This photo wears nothing yet that could be kept.");
    }
    boolean painted = worn.worn().stream().anyMatch(w -> !w.paint().isEmpty());
    Fitting look = Anywhere.apart(row.wardrobe(), worn.unpainted());
    journal.edit(
        SCOPE,
        "keep the look " + clean,
        () -> {
          checkName(clean, 0);
          if (store.count() >= MOST) {
            throw new Refusal(
                String.format(
                    Locale.ROOT, "%d looks are kept. Discard one that you no longer need.", MOST));
          }
          store.add(clean, look, row.photoId());
          return null;
        });
    return "“%s” is kept among your looks.%s"
        .formatted(clean, painted ? " What was painted stays with this photo." : "");
  }

  /** Gives a look another name. */
  public void rename(long id, String name) {
    String clean = Names.check("A look", name);
    journal.edit(
        SCOPE,
        "rename the look " + get(id).name(),
        () -> {
          checkName(clean, id);
          get(id);
          store.rename(id, clean);
          return null;
        });
  }

  /** Discards a look; photos that wear it go on wearing it. */
  public void remove(long id) {
    journal.edit(
        SCOPE,
        "discard the look " + get(id).name(),
        () -> {
          store.remove(id);
          return null;
        });
  }

  /** A look as a fitting of a wardrobe wears it. */
  public Fitting within(OwnLook look, String wardrobe) {
    return Anywhere.within(wardrobe, look.look());
  }

  /**
   * Lets a photo wear a look instead of what it wears; what was brushed there on the same effects
   * stays.
   *
   * @throws Refusal if something of the look is not at the desk
   */
  void wear(OwnLook look, long fitting) {
    FittingRow row = fittings.get(fitting);
    checkSide(row);
    String missing = missing(look);
    if (!missing.isEmpty()) {
      throw new Refusal(missing);
    }
    fittings.dress(fitting, within(look, row.wardrobe()), "wear the look " + look.name());
  }

  /** Marks a look as handed out under a code. */
  public void handedOut(long id, String code) {
    journal.quietly(
        () -> {
          store.handedOut(id, code);
          return null;
        });
  }

  private void checkName(String name, long except) {
    store
        .named(name)
        .filter(id -> id != except)
        .ifPresent(
            id -> {
              throw new Refusal("There is a look called “%s” already.".formatted(name));
            });
  }

  private void checkSide(FittingRow row) {
    if (fittings.wardrobe(row.wardrobe()).side() != Side.DESK) {
      throw new Refusal("Looks are kept at the desk; keep this as an effect of a kit.");
    }
  }
}

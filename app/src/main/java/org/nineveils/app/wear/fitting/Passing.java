package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Worn;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/**
 * Passes a look on to other photos, editable as on the first: effects, opacities, dials and masks
 * go along, paint stays with the photo that it was brushed on.
 */
@Service
class Passing {
  /** Most effects that are named in a sentence. */
  private static final int NAMED = 3;

  private final FittingService fittings;
  private final PhotoService photos;
  private final LaidBy laidBy;
  private final Journal journal;

  Passing(FittingService fittings, PhotoService photos, LaidBy laidBy, Journal journal) {
    this.fittings = fittings;
    this.laidBy = laidBy;
    this.photos = photos;
    this.journal = journal;
  }

  /**
   * Lets more photos wear a look; one step of undo takes it off all of them again.
   *
   * @param id the fitting that it is of, whose own photo is passed over
   * @param look what it wears, or what it wore
   * @return the sentence that says what happened
   * @throws Refusal if the look or the list is empty, or a photo is of the other side
   */
  String on(long id, Fitting look, List<Long> photoIds) {
    FittingRow from = fittings.get(id);
    Set<Long> wanted = new LinkedHashSet<>(photoIds);
    wanted.remove(from.photoId());
    if (wanted.isEmpty()) {
      throw new Refusal("Tick the photos that are to wear it.");
    }
    List<FittingRow> to = wanted.stream().map(p -> there(from.wardrobe(), p)).toList();
    Set<String> scopes =
        to.stream()
            .map(row -> FittingService.scope(row.id()))
            .collect(Collectors.toCollection(LinkedHashSet::new));
    scopes.add(FittingService.scope(id));
    String many =
        String.format(Locale.ROOT, "%d %s", to.size(), to.size() == 1 ? "photo" : "photos");
    put(to, look, scopes, "let %s wear it".formatted(many));
    return "%s %s %s.%s"
        .formatted(
            to.size() == 1 ? "“%s”".formatted(photos.get(to.get(0).photoId()).name()) : many,
            to.size() == 1 ? "wears" : "wear",
            named(from, look),
            stays(from, look));
  }

  /** What came of letting a photo wear what another one does. */
  record AsOn(FittingRow row, String said) {}

  /**
   * Lets one photo wear what another one does.
   *
   * @param wardrobe in which both wear it
   * @throws Refusal if the other one wears nothing of it
   */
  AsOn asOn(String wardrobe, long photoId, long otherId) {
    Photo other = photos.get(otherId);
    FittingRow from = there(wardrobe, otherId);
    FittingRow to = there(wardrobe, photoId);
    Fitting look = fittings.fitting(from);
    if (look.worn().isEmpty()) {
      throw new Refusal(
          "“%s” wears nothing of “%s” yet."
              .formatted(other.name(), fittings.wardrobe(from).title()));
    }
    Fitting before = fittings.unpainted(to);
    put(
        List.of(to),
        look,
        Set.of(FittingService.scope(to.id())),
        "wear it as on “%s”".formatted(other.name()));
    return new AsOn(
        fittings.get(to.id()),
        "As on “%s”: %s.%s%s"
            .formatted(
                other.name(),
                named(from, look),
                stays(from, look),
                isLaidBy(to.id(), before, look) ? " What it wore before is laid by." : ""));
  }

  /** Whether something that came off with a look is kept. */
  private boolean isLaidBy(long id, Fitting before, Fitting look) {
    List<String> kept = laidBy.keys(id);
    return before.worn().stream()
        .anyMatch(w -> look.find(w.effect()).isEmpty() && kept.contains(w.effect()));
  }

  private FittingRow there(String wardrobe, long photoId) {
    Photo photo = photos.get(photoId);
    if (photo.isOnWall() != (fittings.wardrobe(wardrobe).side() == Side.WALL)) {
      throw new Refusal("“%s” is not among the photos that wear this.".formatted(photo.name()));
    }
    return fittings.of(wardrobe, photoId);
  }

  private void put(List<FittingRow> to, Fitting look, Set<String> scopes, String label) {
    if (look.worn().isEmpty()) {
      throw new Refusal("This photo wears nothing yet that another one could wear.");
    }
    journal.edit(
        scopes,
        label,
        "",
        () -> {
          to.forEach(row -> fittings.put(row.id(), look));
          return null;
        });
  }

  private String named(FittingRow from, Fitting look) {
    Function<String, Offer> offers = fittings.wardrobe(from, look).offers()::get;
    List<String> names = new ArrayList<>();
    for (Worn worn : look.worn()) {
      Offer offer = offers.apply(worn.effect());
      if (offer != null) {
        names.add("“" + offer.name() + "”");
      }
    }
    if (names.size() <= NAMED) {
      return String.join(", ", names);
    }
    return String.format(
        Locale.ROOT,
        "%s and %d more",
        String.join(", ", names.subList(0, NAMED)),
        names.size() - NAMED);
  }

  /** What does not come along, and what waits for a brush because of that. */
  private String stays(FittingRow from, Fitting look) {
    if (look.worn().stream().allMatch(w -> w.paint().isEmpty())) {
      return "";
    }
    Wardrobe wardrobe = fittings.wardrobe(from, look);
    Function<String, Effect> effects = wardrobe.effects();
    List<String> wait =
        look.worn().stream()
            .filter(w -> waits(w, effects.apply(w.effect())))
            .map(w -> "“" + wardrobe.offers().get(w.effect()).name() + "”")
            .toList();
    return " Paint stays behind"
        + (wait.isEmpty()
            ? "."
            : ": %s %s for the brush."
                .formatted(String.join(", ", wait), wait.size() == 1 ? "waits" : "wait"));
  }

  /** Whether an effect that was brushed on shows nothing without that paint. */
  private static boolean waits(Worn worn, Effect effect) {
    Set<String> painted = worn.paint().keySet();
    return effect != null
        && ((painted.contains(Worn.WHOLE) && worn.whole().startsHidden())
            || effect.veils().stream()
                .filter(v -> painted.contains(v.id()))
                .anyMatch(v -> worn.changed(v, effect).mask().startsHidden()));
  }
}

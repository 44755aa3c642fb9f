package org.nineveils.app.fitting;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.nineveils.app.data.Journal;
import org.nineveils.app.web.Conflict;
import org.nineveils.app.web.NotFound;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Worn;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.springframework.stereotype.Service;

/** Fittings: one per wardrobe and photo, made when first looked at. */
@Service
public class FittingService {
  private final FittingStore store;
  private final Journal journal;
  private final List<WardrobeSource> sources;

  FittingService(FittingStore store, Journal journal, List<WardrobeSource> sources) {
    this.store = store;
    this.journal = journal;
    this.sources = sources;
  }

  /** What undo in a fitting looks at. */
  public static String scope(long id) {
    return "fitting:" + id;
  }

  /**
   * The fitting of that id.
   *
   * @throws NotFound with a sentence if there is none
   */
  public FittingRow get(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This fitting is no longer here."));
  }

  /** The fitting of a photo in a wardrobe, started plain where there was none. */
  public FittingRow of(String wardrobe, long photoId) {
    return store
        .find(wardrobe, photoId)
        .orElseGet(
            () -> {
              String plain = Json.write(FittingJson.format(Fitting.plain()));
              return get(journal.quietly(() -> store.add(wardrobe, photoId, plain)));
            });
  }

  public Optional<FittingRow> latest(String prefix) {
    return store.latest(prefix);
  }

  /** What a fitting can put on. */
  public Wardrobe wardrobe(FittingRow row) {
    return wardrobe(row.wardrobe());
  }

  /**
   * The wardrobe of that name.
   *
   * @param name “prefix:id”
   * @throws NotFound with a sentence if there is none
   */
  public Wardrobe wardrobe(String name) {
    String[] parts = name.split(":", 2);
    if (parts.length == 2 && parts[1].matches("[0-9]{1,18}")) {
      for (WardrobeSource source : sources) {
        if (source.prefix().equals(parts[0])) {
          return source.open(Long.parseLong(parts[1]));
        }
      }
    }
    throw new NotFound("This wardrobe is no longer here.");
  }

  /** What fittings of one side can choose from. */
  public List<WardrobeSource.Choice> choices(String prefix) {
    return sources.stream()
        .filter(s -> s.prefix().equals(prefix))
        .flatMap(s -> s.choices().stream())
        .toList();
  }

  /** What the photo wears. */
  public Fitting fitting(FittingRow row) {
    return FittingJson.parse(Json.read(row.doc(), "The fitting"));
  }

  /** Saves a fitting as a whole. */
  public void save(long id, int rev, Fitting fitting, String label) {
    journal.edit(
        scope(id),
        label,
        () -> {
          if (!store.save(id, rev, Json.write(FittingJson.format(fitting)))) {
            throw Conflict.stale("This fitting");
          }
          return null;
        });
  }

  /**
   * Puts an effect on, by the rules of the sections.
   *
   * @param answer of the user, where opposites asked
   * @return what happened; where something is asked, nothing was changed
   */
  public Fitting.Change wear(long id, String key, Fitting.Answer answer) {
    FittingRow row = get(id);
    Wardrobe wardrobe = wardrobe(row);
    Offer offer = wardrobe.offers().get(key);
    if (offer == null) {
      throw new NotFound("This effect is no longer here.");
    }
    Fitting.Change change = fitting(row).wear(offer, wardrobe.offers(), wardrobe.effects(), answer);
    if (change.asks().isEmpty()) {
      save(id, row.rev(), change.fitting(), "wear " + offer.name());
    }
    return change;
  }

  /**
   * Puts a whole section on, to pick from.
   *
   * @param lifted all lifted; otherwise all hidden, to be brushed on
   * @return the sentence that says what happened
   */
  public String wearAll(long id, int section, boolean lifted) {
    FittingRow row = get(id);
    Fitting.Change change = fitting(row).wearAll(section, lifted, wardrobe(row).offers());
    save(id, row.rev(), change.fitting(), "wear a whole section");
    return change.said();
  }

  /** Takes an effect off. */
  public void takeOff(long id, String key) {
    FittingRow row = get(id);
    save(id, row.rev(), fitting(row).without(key), "take an effect off");
  }

  /** Adds a stroke to a veil of a worn effect. */
  public void addStroke(long id, String key, String veil, Stroke stroke) {
    change(
        id,
        key,
        stroke.reveal() ? "brush on" : "brush off",
        w -> w.painted(veil, w.paint().getOrDefault(veil, Paint.NONE).plus(stroke)));
  }

  /** Takes all paint off a veil of a worn effect. */
  public void clearPaint(long id, String key, String veil) {
    change(id, key, "clear the paint", w -> w.painted(veil, Paint.NONE));
  }

  private void change(long id, String key, String label, UnaryOperator<Worn> change) {
    FittingRow row = get(id);
    Fitting next =
        new Fitting(
            fitting(row).worn().stream()
                .map(w -> w.effect().equals(key) ? change.apply(w) : w)
                .toList());
    save(id, row.rev(), next, label);
  }
}

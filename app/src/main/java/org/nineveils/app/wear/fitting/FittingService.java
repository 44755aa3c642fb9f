package org.nineveils.app.wear.fitting;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.document.Fields;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Combination;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Worn;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Fittings: one per wardrobe and photo, made when first looked at. */
@Service
public class FittingService {
  private final FittingStore store;
  private final FittingPaintStore strokes;
  private final LaidBy laidBy;
  private final Journal journal;
  private final Wardrobes wardrobes;

  FittingService(
      FittingStore store,
      FittingPaintStore strokes,
      LaidBy laidBy,
      Journal journal,
      Wardrobes wardrobes) {
    this.store = store;
    this.strokes = strokes;
    this.laidBy = laidBy;
    this.journal = journal;
    this.wardrobes = wardrobes;
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

  /**
   * The fitting of a photo in a wardrobe, started plain where there was none. Opened several times
   * at once, it is one fitting all the same.
   */
  public FittingRow of(String wardrobe, long photoId) {
    return store
        .find(wardrobe, photoId)
        .orElseGet(
            () -> {
              String plain = Json.write(FittingJson.format(Fitting.plain()));
              return journal.quietly(
                  () -> {
                    store.addIfMissing(wardrobe, photoId, plain);
                    return store.find(wardrobe, photoId).orElseThrow();
                  });
            });
  }

  /** The one that was changed last, of wardrobes of a sort that are still here. */
  public Optional<FittingRow> latest(String prefix) {
    return store.latest(
        wardrobes.choices(prefix).stream().map(WardrobeSource.Choice::wardrobe).toList());
  }

  /** What a fitting can put on: its own wardrobe, and what is worn with it. */
  public Wardrobe wardrobe(FittingRow row) {
    return wardrobes.of(row);
  }

  /** The same for another state of it. */
  Wardrobe wardrobe(FittingRow row, Fitting state) {
    return wardrobes.of(row, state);
  }

  /**
   * The wardrobe of that name.
   *
   * @param name “prefix:id”
   * @throws NotFound with a sentence if there is none
   */
  public Wardrobe wardrobe(String name) {
    return wardrobes.open(name);
  }

  /** What the photo wears, with what was brushed. */
  public Fitting fitting(FittingRow row) {
    return painted(row.id(), unpainted(row));
  }

  /** What the photo wears, without paint. */
  public Fitting unpainted(FittingRow row) {
    return FittingJson.parse(Json.read(row.doc(), "The fitting"));
  }

  /** A state of a fitting with what was brushed in that fitting. */
  Fitting painted(long id, Fitting fitting) {
    return mapped(fitting, w -> w.withPaint(strokes.rows().find(id, w.effect())));
  }

  private static Fitting mapped(Fitting fitting, UnaryOperator<Worn> change) {
    return new Fitting(fitting.worn().stream().map(change).toList());
  }

  /**
   * How many strokes each veil of each worn effect has, by key of the effect and id of the veil.
   */
  Map<String, Map<String, Integer>> counts(long id, Fitting fitting) {
    Map<String, Map<String, Integer>> out = new LinkedHashMap<>();
    fitting.worn().forEach(w -> out.put(w.effect(), strokes.rows().counts(id, w.effect())));
    return out;
  }

  /**
   * Saves a fitting as a whole, but for its paint.
   *
   * @throws Conflict with a sentence if the fitting was changed meanwhile
   */
  public void save(long id, Save save, Fitting fitting) {
    get(id);
    journal.edit(
        Set.of(scope(id)),
        save.label(),
        save.gesture(),
        () -> {
          Fitting met =
              store
                  .meeting(id, save, fitting.unpainted())
                  .orElseThrow(() -> Conflict.stale("This fitting"));
          return put(id, met);
        });
  }

  /** Stores what the photo wears; what comes off is laid by. */
  Fitting put(long id, Fitting fitting) {
    FittingRow row = get(id);
    laidBy.between(id, unpainted(row), fitting, () -> wardrobe(row).effects());
    store.store(id, fitting.unpainted());
    return fitting;
  }

  /** Lets the photo wear another state, paint and all. */
  void replace(long id, Fitting fitting, String label) {
    journal.edit(
        scope(id),
        label,
        () -> {
          put(id, fitting);
          for (Worn w : fitting.worn()) {
            strokes.remove(id, w.effect());
            w.paint().forEach((veil, p) -> strokes.rows().put(id, w.effect(), veil, p));
          }
          return null;
        });
  }

  /** Lets the photo wear a look of elsewhere; what was brushed here on the same effects stays. */
  public void dress(long id, Fitting look, String label) {
    replace(id, painted(id, look), label);
  }

  /**
   * Puts an effect on, by the rules of the sections.
   *
   * @param answer of the user, where opposites asked
   * @return what happened; where something is asked, nothing was changed
   */
  public Fitting.Change wear(long id, String key, Fitting.Answer answer) {
    Wardrobe wardrobe = wardrobe(get(id));
    Offer offer = wardrobe.offers().get(key);
    if (offer == null) {
      throw new NotFound("This effect is no longer here.");
    }
    return change(
        id,
        "wear " + offer.name(),
        worn -> worn.wear(offer, wardrobe.offers(), wardrobe.effects(), answer));
  }

  /**
   * Puts a whole section on, to pick from.
   *
   * @param lifted all lifted; otherwise all hidden, to be brushed on
   * @return the sentence that says what happened
   */
  public String wearAll(long id, int section, boolean lifted) {
    Wardrobe wardrobe = wardrobe(get(id));
    return change(
            id,
            "wear a whole section",
            worn -> worn.wearAll(section, lifted, wardrobe.offers(), wardrobe.effects()))
        .said();
  }

  /** Changes what is worn now by a rule, unless the rule asks something. */
  private Fitting.Change change(long id, String label, Function<Fitting, Fitting.Change> rule) {
    return journal.edit(
        scope(id),
        label,
        () -> {
          Fitting before = unpainted(get(id));
          Fitting.Change change = laidBy.back(id, before, rule.apply(before));
          if (change.asks().isEmpty()) {
            put(id, change.fitting());
          }
          return change;
        });
  }

  /** Takes off whatever is worn of a section. */
  public void takeOffSection(long id, int section) {
    Wardrobe wardrobe = wardrobe(get(id));
    journal.edit(
        scope(id),
        "take a section off",
        () -> put(id, unpainted(get(id)).withoutSection(section, wardrobe.offers())));
  }

  /** Lets whatever is worn of a section be as it was when it went on; its paint goes. */
  public void resetSection(long id, int section) {
    Wardrobe wardrobe = wardrobe(get(id));
    journal.edit(
        scope(id),
        "reset a section",
        () -> {
          Fitting before = unpainted(get(id));
          Fitting without = before.withoutSection(section, wardrobe.offers());
          before.worn().stream()
              .map(Worn::effect)
              .filter(key -> without.find(key).isEmpty())
              .forEach(key -> strokes.remove(id, key));
          return put(id, before.withSectionFresh(section, wardrobe.offers(), wardrobe.effects()));
        });
  }

  /** Lets an effect be as it goes on: at its start opacity, nothing turned or brushed. */
  public void fresh(long id, String key) {
    Wardrobe wardrobe = wardrobe(get(id));
    Effect effect = wardrobe.effects().apply(key);
    if (effect == null) {
      throw new NotFound("This effect is no longer here.");
    }
    journal.edit(
        scope(id),
        "wear %s fresh".formatted(wardrobe.offers().get(key).name()),
        () -> {
          Fitting before = unpainted(get(id));
          if (before.find(key).isEmpty()) {
            throw new NotFound("The photo no longer wears this effect; nothing was changed.");
          }
          strokes.remove(id, key);
          return put(id, before.with(Worn.fresh(key, effect.start())));
        });
  }

  /**
   * What the photo wears as one effect, of the parts that a request names: note and picks (effect,
   * veils, asWorn).
   *
   * @throws org.nineveils.refusal.Refusal with a sentence if nothing was picked
   */
  public Combination combination(long id, Fields f) {
    FittingRow row = get(id);
    return Combination.of(
        fitting(row),
        f.objects("picks", FittingService::pick),
        wardrobe(row).effects(),
        f.text("note", ""));
  }

  private static Combination.Pick pick(Fields f) {
    Set<String> veils = f.list("veils").stream().map(String::valueOf).collect(Collectors.toSet());
    return new Combination.Pick(f.text("effect"), veils, f.flag("asWorn", true));
  }

  /** Takes an effect off. */
  public void takeOff(long id, String key) {
    journal.edit(scope(id), "take an effect off", () -> put(id, unpainted(get(id)).without(key)));
  }
}

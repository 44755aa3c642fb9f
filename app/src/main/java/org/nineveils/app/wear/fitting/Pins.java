package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BooleanSupplier;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.document.Fields;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Mix;
import org.nineveils.kit.Worn;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Remembered states of a fitting, to compare and to go back to. */
@Service
public class Pins {
  /** Most pins of a fitting. */
  static final int MOST = 12;

  /** Most pins of other photos that are offered. */
  private static final int MOST_BESIDE = 24;

  private final PinStore store;
  private final FittingService fittings;
  private final Journal journal;

  Pins(PinStore store, FittingService fittings, Journal journal) {
    this.store = store;
    this.fittings = fittings;
    this.journal = journal;
  }

  /** Pins of a fitting as the page takes them: id and name. */
  public List<Map<String, Object>> of(long fitting) {
    return store.names(fitting).stream()
        .map(pin -> Json.object("id", pin.id(), "name", pin.name()))
        .toList();
  }

  /** The newest pins of other photos in the same wardrobe: id, name and the photo's id. */
  List<Map<String, Object>> beside(FittingRow row) {
    return store.beside(row, MOST_BESIDE).stream()
        .map(pin -> Json.object("id", pin.id(), "name", pin.name(), "photo", pin.photoId()))
        .toList();
  }

  /**
   * What a pin remembers, paint and all; on another photo than its own, with what was brushed there
   * on the same effects.
   */
  Fitting fitting(long fitting, long id) {
    PinStore.Pin pin = find(fitting, id);
    Fitting kept = FittingJson.parse(Json.read(pin.doc(), "The pin"));
    return pin.fittingId() == fitting ? kept : fittings.painted(fitting, kept);
  }

  private PinStore.Pin find(long fitting, long id) {
    return store.find(fittings.get(fitting).wardrobe(), id).orElseThrow(Pins::gone);
  }

  /** Remembers what the photo wears now, under the next free letter. */
  public void add(long fitting) {
    FittingRow row = fittings.get(fitting);
    List<PinStore.Name> there = store.names(fitting);
    if (there.size() >= MOST) {
      throw new Refusal(
          String.format(
              Locale.ROOT, "A fitting keeps %d pins. Discard one that you no longer need.", MOST));
    }
    List<String> names = there.stream().map(PinStore.Name::name).toList();
    char letter = 'A';
    while (names.contains("Pin " + letter)) {
      letter++;
    }
    String name = "Pin " + letter;
    edit(
        fitting,
        "pin " + name,
        () -> {
          store.add(fitting, name, Json.write(FittingJson.format(fittings.fitting(row))));
          return true;
        });
  }

  public void rename(long fitting, long id, String name) {
    String clean = Names.check("A pin", name);
    edit(fitting, "rename a pin", () -> store.rename(fitting, id, clean));
  }

  public void remove(long fitting, long id) {
    edit(fitting, "discard a pin", () -> store.remove(fitting, id));
  }

  /**
   * Lets the photo wear again what a pin remembers; of another photo's pin all but the paint, and
   * what was brushed here on the same effects stays.
   */
  public void goBack(long fitting, long id) {
    PinStore.Pin pin = find(fitting, id);
    boolean own = pin.fittingId() == fitting;
    String label = own ? "go back to %s" : "wear %s of another photo";
    fittings.replace(fitting, fitting(fitting, id), label.formatted(pin.name()));
  }

  /**
   * The fitting between two states.
   *
   * @param of “first” and “second”: ids of pins, or 0 for what is worn now; “share” of the second
   */
  Fitting mix(long fitting, Fields of) {
    Fitting first = side(fitting, of.whole("first"));
    Fitting second = side(fitting, of.whole("second"));
    List<Worn> both = new ArrayList<>(first.worn());
    second.worn().stream().filter(w -> first.find(w.effect()).isEmpty()).forEach(both::add);
    Wardrobe wardrobe = fittings.wardrobe(fittings.get(fitting), new Fitting(both));
    return Mix.of(first, second, of.number("share"), wardrobe.offers(), wardrobe.effects());
  }

  private Fitting side(long fitting, int id) {
    return id == 0 ? fittings.fitting(fittings.get(fitting)) : fitting(fitting, id);
  }

  /** Lets the photo wear a mix of two states. */
  void wearMix(long fitting, Fields of) {
    fittings.replace(fitting, mix(fitting, of), "wear a mix");
  }

  private void edit(long fitting, String label, BooleanSupplier work) {
    journal.edit(
        FittingService.scope(fitting),
        label,
        () -> {
          if (!work.getAsBoolean()) {
            throw gone();
          }
          return null;
        });
  }

  private static NotFound gone() {
    return new NotFound("This pin is no longer here.");
  }
}

package org.nineveils.app.wear.fitting;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BooleanSupplier;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Remembered states of a fitting, to compare and to go back to. */
@Service
public class Pins {
  /** Most pins of a fitting. */
  static final int MOST = 12;

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

  /** What a pin remembers, paint and all. */
  Fitting fitting(long fitting, long id) {
    return FittingJson.parse(Json.read(find(fitting, id).doc(), "The pin"));
  }

  private PinStore.Pin find(long fitting, long id) {
    return store.find(fitting, id).orElseThrow(Pins::gone);
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

  /** Lets the photo wear again what a pin remembers. */
  public void goBack(long fitting, long id) {
    String name = find(fitting, id).name();
    fittings.replace(fitting, fitting(fitting, id), "go back to " + name);
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

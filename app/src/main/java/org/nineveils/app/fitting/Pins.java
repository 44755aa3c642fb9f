package org.nineveils.app.fitting;

import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import org.nineveils.app.data.Journal;
import org.nineveils.app.web.NotFound;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Names;
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

  /** Pins of a fitting as the page takes them: id, name, fitting. */
  public List<Map<String, Object>> of(long fitting) {
    return store.of(fitting).stream()
        .map(
            pin ->
                Json.object(
                    "id", pin.id(),
                    "name", pin.name(),
                    "fitting", Json.read(pin.doc(), "The pin").raw()))
        .toList();
  }

  /** Remembers what the photo wears now, under the next free letter. */
  public void add(long fitting) {
    FittingRow row = fittings.get(fitting);
    List<PinStore.Pin> there = store.of(fitting);
    if (there.size() >= MOST) {
      throw new IllegalArgumentException(
          "A fitting keeps %d pins. Discard one that you no longer need.".formatted(MOST));
    }
    List<String> names = there.stream().map(PinStore.Pin::name).toList();
    char letter = 'A';
    while (names.contains("Pin " + letter)) {
      letter++;
    }
    String name = "Pin " + letter;
    edit(
        fitting,
        "pin " + name,
        () -> {
          store.add(fitting, name, row.doc());
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
    PinStore.Pin pin =
        store.of(fitting).stream().filter(p -> p.id() == id).findFirst().orElseThrow(Pins::gone);
    FittingRow row = fittings.get(fitting);
    fittings.save(
        fitting,
        row.rev(),
        FittingJson.parse(Json.read(pin.doc(), "The pin")),
        "go back to " + pin.name());
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

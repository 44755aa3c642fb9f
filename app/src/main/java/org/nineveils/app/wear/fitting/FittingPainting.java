package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Following;
import org.nineveils.veil.Veil;
import org.springframework.stereotype.Service;

/**
 * What is brushed in a fitting: on a veil of a worn effect, or on the effect as a whole, which goes
 * by the id {@link Worn#WHOLE}.
 */
@Service
class FittingPainting {
  private final FittingService fittings;
  private final FittingPaintStore strokes;
  private final Journal journal;

  FittingPainting(FittingService fittings, FittingPaintStore strokes, Journal journal) {
    this.fittings = fittings;
    this.strokes = strokes;
    this.journal = journal;
  }

  /**
   * Something that is painted on: its mask in this fitting.
   *
   * @param name for the user
   * @param veil id that its paint goes by: a veil that follows another has that one's
   */
  private record Target(String effect, String veil, String name, Mask mask) {}

  /** A fitting and what it can put on, read once for all targets of a change. */
  private record Room(Wardrobe wardrobe, Fitting fitting) {}

  private Room room(long id) {
    FittingRow row = fittings.get(id);
    return new Room(fittings.wardrobe(row), fittings.unpainted(row));
  }

  private static Target target(Room room, String key, String veil) {
    Worn worn =
        room.fitting().worn().stream()
            .filter(w -> w.effect().equals(key))
            .findFirst()
            .orElseThrow(
                () -> new NotFound("The photo no longer wears this effect; nothing was painted."));
    Effect effect = room.wardrobe().effects().apply(key);
    if (effect == null) {
      throw new NotFound("This effect is no longer here; nothing was painted.");
    }
    if (veil.equals(Worn.WHOLE)) {
      String name = room.wardrobe().offers().get(key).name();
      return new Target(key, veil, name, worn.whole());
    }
    List<Veil> veils = effect.veils().stream().map(v -> worn.changed(v, effect)).toList();
    Veil of =
        veils.stream()
            .filter(v -> v.id().equals(veil))
            .findFirst()
            .orElseThrow(
                () -> new NotFound("This veil is no longer in the effect; nothing was painted."));
    String painted = of.mask().follows() ? of.mask().as() : veil;
    return new Target(key, painted, of.name(), Following.mask(of, veils));
  }

  private Paint paint(long id, Target target) {
    return strokes.rows().find(id, target.effect()).getOrDefault(target.veil(), Paint.NONE);
  }

  /** Adds a stroke. */
  void add(long id, String key, String veil, Stroke stroke) {
    Target target = target(room(id), key, veil);
    String label = (stroke.reveal() ? "brush on, " : "brush off, ") + target.name();
    edit(id, label, () -> strokes.rows().add(id, key, target.veil(), stroke));
  }

  private void edit(long id, String label, Runnable change) {
    edit(
        id,
        label,
        () -> {
          change.run();
          return null;
        });
  }

  private <T> T edit(long id, String label, Supplier<T> change) {
    return journal.edit(FittingService.scope(id), label, change);
  }

  /** Does something to all the paint; see {@link Paint#all}. */
  void all(long id, String key, String veil, String how) {
    Target target = target(room(id), key, veil);
    edit(
        id,
        how + " the paint of " + target.name(),
        () -> {
          Paint next = paint(id, target).all(how, !target.mask().startsHidden());
          strokes.rows().put(id, key, target.veil(), next);
        });
  }

  /**
   * Lets a veil, or an effect as a whole, cover where another does, paint and all.
   *
   * @return the sentence that says so
   */
  String copy(long id, String[] from, String[] to) {
    Room room = room(id);
    Target source = target(room, from[0], from[1]);
    Target target = target(room, to[0], to[1]);
    return edit(
        id,
        "mask of %s to %s".formatted(source.name(), target.name()),
        () -> {
          Fitting newest = fittings.unpainted(fittings.get(id));
          fittings.put(id, withMask(newest, to[0], to[1], source.mask()));
          strokes.rows().put(id, to[0], to[1], paint(id, source));
          return "“%s” covers where “%s” does.".formatted(target.name(), source.name());
        });
  }

  private static Fitting withMask(Fitting fitting, String key, String veil, Mask mask) {
    List<Worn> out = new ArrayList<>();
    for (Worn w : fitting.worn()) {
      out.add(w.effect().equals(key) ? w.masked(veil, mask) : w);
    }
    return new Fitting(out);
  }

  /**
   * Lays paint from a file on a worn effect, in the place of what was painted on the veils that it
   * names.
   *
   * @return the sentence that says what happened
   */
  String load(long id, String key, Map<String, Paint> paint) {
    Room room = room(id);
    target(room, key, Worn.WHOLE); // the effect itself must be there
    Effect effect = room.wardrobe().effects().apply(key);
    Map<String, Paint> known = new LinkedHashMap<>();
    paint.forEach(
        (veil, p) -> {
          if (veil.equals(Worn.WHOLE) || effect.veil(veil).isPresent()) {
            known.put(target(room, key, veil).veil(), p);
          }
        });
    int left = paint.size() - known.size();
    if (known.isEmpty()) {
      throw new NotFound("The file has no paint for a veil of this effect; nothing was changed.");
    }
    String told =
        String.format(Locale.ROOT, "Paint of %d %s laid on", known.size(), veils(known.size()));
    return edit(
        id,
        "lay paint from a file",
        () -> {
          known.forEach((veil, p) -> strokes.rows().put(id, key, veil, p));
          return left == 0
              ? told + "."
              : told
                  + String.format(
                      Locale.ROOT, "; that of %d %s is not in this effect.", left, veils(left));
        });
  }

  private static String veils(int n) {
    return n == 1 ? "veil" : "veils";
  }
}

package org.nineveils.app.wear.fitting;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.Supplier;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/**
 * What an effect had on a photo stays with the photo when it comes off: opacities, dials, masks and
 * paint, for when it goes on again. Looking around loses nothing.
 */
@Component
class LaidBy {
  private final LaidByStore store;
  private final FittingPaintStore strokes;

  LaidBy(LaidByStore store, FittingPaintStore strokes) {
    this.store = store;
    this.strokes = strokes;
  }

  /** Keys of effects that come back as they were. */
  List<String> keys(long fitting) {
    return store.keys(fitting);
  }

  /**
   * Lays by what comes off, unless nothing was done to it, and forgets what was laid by of what
   * goes on.
   *
   * @param effects gives effects by key, null where there is none; asked for only where something
   *     comes off
   */
  void between(
      long fitting, Fitting before, Fitting after, Supplier<Function<String, Effect>> effects) {
    for (Worn worn : after.worn()) {
      if (before.find(worn.effect()).isEmpty()) {
        store.remove(fitting, worn.effect());
      }
    }
    for (Worn worn : before.worn()) {
      if (after.find(worn.effect()).isEmpty()
          && (!isFresh(worn, effects.get())
              || !strokes.rows().counts(fitting, worn.effect()).isEmpty())) {
        store.put(fitting, worn);
      }
    }
  }

  private static boolean isFresh(Worn worn, Function<String, Effect> effects) {
    Effect effect = effects.apply(worn.effect());
    return worn.equals(Worn.fresh(worn.effect(), effect == null ? 1 : effect.start()));
  }

  /**
   * A change in which whatever goes on is as it was before, and the sentence that says so. What
   * goes on lifted stays lifted.
   *
   * @param before what was worn
   */
  Fitting.Change back(long fitting, Fitting before, Fitting.Change change) {
    if (!change.asks().isEmpty()) {
      return change;
    }
    Fitting now = change.fitting();
    int back = 0;
    for (Worn worn : change.fitting().worn()) {
      Worn was =
          before.find(worn.effect()).isPresent()
              ? null
              : store.find(fitting, worn.effect()).orElse(null);
      if (was != null) {
        now = now.with(was.hung(worn.lifted(), worn.byBrush()));
        back++;
      }
    }
    return new Fitting.Change(now, (change.said() + said(back)).strip(), List.of());
  }

  private static String said(int back) {
    return back == 0
        ? ""
        : back == 1
            ? " It is as you had it on this photo."
            : String.format(Locale.ROOT, " %d of them are as you had them on this photo.", back);
  }
}

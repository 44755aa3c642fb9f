package org.nineveils.veil;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.nineveils.kernel.Adjustment;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.SettingValues;

/**
 * Editions of the engine's maths, from the first. What an edition makes of a picture never changes
 * once it is closed; an effect keeps the edition that it was made with until its maker updates it.
 */
public final class Editions {
  /** How an edition makes the maths of a veil. */
  public interface Maths {
    /** See {@link VeilKind#prepare}. */
    Adjustment prepare(VeilKind kind, SettingValues values, Frame frame);
  }

  private static final List<Maths> ALL =
      new CopyOnWriteArrayList<>(List.of((kind, values, frame) -> kind.prepare(values, frame, 1)));

  private Editions() {}

  /** The newest edition, which new effects are made with; 1 or more. */
  public static int current() {
    return ALL.size();
  }

  /** The maths of a veil in an edition, 1…{@link #current()}. */
  public static Adjustment prepare(VeilKind kind, SettingValues values, Frame frame, int edition) {
    return ALL.get(edition - 1).prepare(kind, values, frame);
  }

  /** A newer edition that is only tried. */
  public interface Trial extends AutoCloseable {
    /** Ends it; effects that were made with it cannot be read from then on. */
    @Override
    void close();
  }

  /** Adds a newer edition until the trial is closed; for tests. */
  public static Trial trial(Maths maths) {
    ALL.add(maths);
    return () -> ALL.remove(maths);
  }
}

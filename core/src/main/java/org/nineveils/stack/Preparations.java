package org.nineveils.stack;

import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Adjustment;
import org.nineveils.veil.Frame;
import org.nineveils.veil.VeilKind;

/**
 * Keeps the maths prepared for the settings met last: tables of tones cost more to make than a
 * small picture costs to render. Shared between threads.
 */
public final class Preparations {
  private static final long MOST_BYTES = 32_000_000;

  private record Key(VeilKind kind, SettingValues settings, Frame frame) {}

  private final Keep<Object, Adjustment> kept;

  /** Keeps within a bound of its own. */
  public Preparations() {
    this(Keep.upTo(MOST_BYTES));
  }

  /** Keeps in a place that is given. */
  public Preparations(Keep<Object, Adjustment> kept) {
    this.kept = kept;
  }

  /** The maths of a kind for settings and a size of picture. */
  Adjustment prepare(VeilKind kind, SettingValues settings, Frame frame) {
    Key key = new Key(kind, settings, frame);
    Adjustment found = kept.find(key);
    if (found != null) {
      return found;
    }
    Adjustment made = kind.prepare(settings, frame);
    kept.put(key, made, made.bytes());
    return made;
  }
}

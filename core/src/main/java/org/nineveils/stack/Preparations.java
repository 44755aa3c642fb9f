package org.nineveils.stack;

import java.util.LinkedHashMap;
import java.util.Map;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Adjustment;
import org.nineveils.veil.Frame;
import org.nineveils.veil.VeilKind;

/**
 * Keeps the maths prepared for the settings met last: tables of tones cost more to make than a
 * small picture costs to render. Shared between threads.
 */
public final class Preparations {
  private static final int MOST = 400;

  private record Key(VeilKind kind, SettingValues settings, Frame frame) {}

  private final Map<Key, Adjustment> kept =
      new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Adjustment> eldest) {
          return size() > MOST;
        }
      };

  /** The maths of a kind for settings and a size of picture. */
  Adjustment prepare(VeilKind kind, SettingValues settings, Frame frame) {
    Key key = new Key(kind, settings, frame);
    synchronized (kept) {
      Adjustment found = kept.get(key);
      if (found != null) {
        return found;
      }
    }
    Adjustment made = kind.prepare(settings, frame);
    synchronized (kept) {
      kept.put(key, made);
    }
    return made;
  }
}

package org.nineveils.stack;

import java.util.HashMap;
import java.util.Map;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Adjustment;
import org.nineveils.veil.Frame;
import org.nineveils.veil.VeilKind;

/** Keeps the maths prepared for the settings met last, for one size of picture. */
final class Workbench {
  private static final int MOST = 200;

  private record Key(VeilKind kind, SettingValues settings) {}

  private final Frame frame;
  private final Map<Key, Adjustment> prepared = new HashMap<>();

  Workbench(Frame frame) {
    this.frame = frame;
  }

  Frame frame() {
    return frame;
  }

  /** An item with its maths; the end of a bundle has none. */
  PreparedItem prepare(Item item) {
    if (item.closes()) {
      return new PreparedItem(item, null);
    }
    if (prepared.size() > MOST) {
      prepared.clear();
    }
    Key key = new Key(item.kind(), item.settings());
    return new PreparedItem(
        item, prepared.computeIfAbsent(key, k -> k.kind().prepare(k.settings(), frame)));
  }
}

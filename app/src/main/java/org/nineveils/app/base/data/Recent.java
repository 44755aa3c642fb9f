package org.nineveils.app.base.data;

import java.util.LinkedHashMap;
import java.util.Map;

/** A map that forgets what was used longest ago. Not safe between threads by itself. */
public final class Recent<K, V> extends LinkedHashMap<K, V> {
  private static final long serialVersionUID = 1L;

  private final int most;

  /**
   * An empty map.
   *
   * @param most entries kept
   */
  public Recent(int most) {
    super(16, 0.75f, true);
    this.most = most;
  }

  @Override
  protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
    return size() > most;
  }
}

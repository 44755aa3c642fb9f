package org.nineveils.stack;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A place where what may be asked for again is kept, weighed in bytes. Whoever runs the engine may
 * bring one of its own, so that all it keeps counts against one budget. Safe between threads.
 */
public interface Keep<K, V> {
  /** What is kept under a key; null where nothing is. */
  V find(K key);

  /** Keeps a value of that many bytes; others, or this one, may have to go for it. */
  void put(K key, V value, long bytes);

  /** A place of its own for at most that many bytes; what was used longest ago goes first. */
  static <K, V> Keep<K, V> upTo(long most) {
    return new Keep<>() {
      private record Weighed<V>(V value, long bytes) {}

      private final Map<K, Weighed<V>> kept = new LinkedHashMap<>(16, 0.75f, true);
      private long held;

      @Override
      public synchronized V find(K key) {
        Weighed<V> found = kept.get(key);
        return found == null ? null : found.value();
      }

      @Override
      public synchronized void put(K key, V value, long bytes) {
        Weighed<V> old = kept.put(key, new Weighed<>(value, bytes));
        held += bytes - (old == null ? 0 : old.bytes());
        var oldest = kept.entrySet().iterator();
        while (held > most && kept.size() > 1) {
          held -= oldest.next().getValue().bytes();
          oldest.remove();
        }
      }
    };
  }
}

package org.nineveils.app.base.memory;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * One budget in bytes for all that is kept in memory because it may be asked for again. What was
 * used longest ago goes first, whatever it is: a photo at full size, the pictures of a stage, a
 * table.
 *
 * <p>How much: {@code nineveils.memory.share} of the largest heap, {@value #SHARE} of it where
 * nothing is said; the rest is for the work itself. Where the heap runs short all the same, {@link
 * #giveWay()} lets everything go, and what fails for want of memory is tried once more.
 */
@Component
public class Budget {
  /** Share of the heap. */
  static final double SHARE = 0.4;

  /** Share of the heap that what is kept and what is reserved may fill together. */
  private static final double TOGETHER = 0.72;

  private final long most;
  private final long together;
  private long reserved;
  private final Map<Object, Entry> kept = new LinkedHashMap<>(16, 0.75f, true);
  private final Map<String, Long> held = new LinkedHashMap<>();
  private long bytes;

  private static final class Entry {
    final String shelf;
    final Object value;
    final long bytes;

    Entry(String shelf, Object value, long bytes) {
      this.shelf = shelf;
      this.value = value;
      this.bytes = bytes;
    }
  }

  @Autowired
  Budget(@Value("${nineveils.memory.share:0.4}") double share) {
    this(
        (long) (share * Runtime.getRuntime().maxMemory()),
        (long) (TOGETHER * Runtime.getRuntime().maxMemory()));
  }

  /** A budget of that many bytes. */
  public Budget(long most) {
    this(most, Long.MAX_VALUE);
  }

  /**
   * A budget.
   *
   * @param most bytes kept
   * @param together bytes kept and reserved
   */
  Budget(long most, long together) {
    this.most = most;
    this.together = together;
  }

  /**
   * Makes room for large work: what is kept gives way to it for as long as it lasts.
   *
   * @param bytes that the work takes besides what is kept
   */
  public <T> T making(long bytes, Supplier<T> work) {
    synchronized (this) {
      reserved += bytes;
      keepAtMost(room());
    }
    try {
      return work.get();
    } finally {
      synchronized (this) {
        reserved -= bytes;
      }
    }
  }

  private long room() {
    return Math.max(0, Math.min(most, together - reserved));
  }

  /**
   * A shelf in this budget.
   *
   * @param name what is on it, for people
   * @param weigh bytes that a value keeps from being freed
   */
  public <K, V> Shelf<K, V> shelf(String name, ToLongFunction<V> weigh) {
    return new Shelf<>(this, name, weigh);
  }

  synchronized Object find(Object key) {
    Entry found = kept.get(key);
    return found == null ? null : found.value;
  }

  /** Keeps a value, unless it alone is more than all may hold. */
  synchronized void put(String shelf, Object key, Object value, long weight) {
    drop(key);
    if (weight > room()) {
      return;
    }
    kept.put(key, new Entry(shelf, value, weight));
    count(shelf, weight);
    keepAtMost(room());
  }

  /** Lets what was used longest ago go, until no more than that is held. */
  synchronized void keepAtMost(long bound) {
    var oldest = kept.entrySet().iterator();
    while (bytes > bound && oldest.hasNext()) {
      Entry gone = oldest.next().getValue();
      oldest.remove();
      count(gone.shelf, -gone.bytes);
    }
  }

  synchronized void drop(Object key) {
    Entry old = kept.remove(key);
    if (old != null) {
      count(old.shelf, -old.bytes);
    }
  }

  private void count(String shelf, long weight) {
    bytes += weight;
    held.merge(shelf, weight, Long::sum);
  }

  /** Lets everything go. */
  public synchronized void giveWay() {
    kept.clear();
    held.clear();
    bytes = 0;
  }

  /** Bytes held now. */
  public synchronized long bytes() {
    return bytes;
  }

  /** Most bytes held. */
  public long most() {
    return most;
  }

  /** Bytes held by each shelf. */
  public synchronized Map<String, Long> held() {
    return new LinkedHashMap<>(held);
  }
}

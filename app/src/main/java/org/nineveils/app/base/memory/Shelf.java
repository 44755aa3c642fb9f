package org.nineveils.app.base.memory;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;

/**
 * Values of one sort within the {@link Budget}. A value that is being made is made once, however
 * many ask for it, and nobody who asks for another one waits.
 */
public final class Shelf<K, V> {
  private static final long LOOK_EVERY_MS = 500;
  private static final int LOOKS_WITH_PERMITS = 30;

  private final Budget budget;
  private final String name;
  private final ToLongFunction<V> weigh;
  private final Map<K, CompletableFuture<V>> making = new ConcurrentHashMap<>();

  private record Place(Object shelf, Object key) {}

  Shelf(Budget budget, String name, ToLongFunction<V> weigh) {
    this.budget = budget;
    this.name = name;
    this.weigh = weigh;
  }

  /** The value, if it is kept. */
  @SuppressWarnings("unchecked")
  public Optional<V> find(K key) {
    return Optional.ofNullable((V) budget.find(new Place(this, key)));
  }

  /** The value, made and kept first where it is not there. */
  public V get(K key, Supplier<V> make) {
    Optional<V> found = find(key);
    if (found.isPresent()) {
      return found.get();
    }
    CompletableFuture<V> mine = new CompletableFuture<>();
    try {
      CompletableFuture<V> other = making.putIfAbsent(key, mine);
      if (other != null) {
        return joined(key, other, make);
      }
      V made = find(key).orElseGet(make); // it may have been finished just before
      put(key, made);
      mine.complete(made);
      return made;
    } catch (RuntimeException | Error e) {
      mine.completeExceptionally(e);
      throw e;
    } finally {
      making.remove(key, mine);
    }
  }

  /**
   * Waits for what another makes. Whoever makes it may die of a full heap before it can even say
   * so; then it is no longer among what is being made, and those who wait fail as it did. And
   * whoever makes it may wait for permits that the one who waits here holds; after a while that one
   * makes it itself.
   */
  private V joined(K key, CompletableFuture<V> other, Supplier<V> make) {
    for (int looks = 0; ; looks++) {
      if (looks > LOOKS_WITH_PERMITS && Permits.isHolding()) {
        return make.get();
      }
      try {
        return other.get(LOOK_EVERY_MS, TimeUnit.MILLISECONDS);
      } catch (TimeoutException e) {
        if (making.get(key) != other && !other.isDone()) {
          throw new OutOfMemoryError("whoever made it for others was cut off");
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new CompletionException(e);
      } catch (ExecutionException e) {
        if (e.getCause() instanceof RuntimeException fault) {
          throw fault;
        }
        if (e.getCause() instanceof Error fault) {
          throw fault;
        }
        throw new CompletionException(e.getCause());
      }
    }
  }

  /** Keeps a value, weighed as it is now. */
  public void put(K key, V value) {
    budget.put(name, new Place(this, key), value, weigh.applyAsLong(value));
  }

  /** Lets a value go. */
  public void drop(K key) {
    budget.drop(new Place(this, key));
  }
}

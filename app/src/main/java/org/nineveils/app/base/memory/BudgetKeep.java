package org.nineveils.app.base.memory;

import org.nineveils.stack.Keep;

/** Lets the engine keep what it may need again within the budget of the application. */
public final class BudgetKeep<V> implements Keep<Object, V> {
  private record Weighed<V>(V value, long bytes) {}

  private final Shelf<Object, Weighed<V>> shelf;

  public BudgetKeep(Budget budget, String name) {
    this.shelf = budget.shelf(name, Weighed::bytes);
  }

  @Override
  public V find(Object key) {
    return shelf.find(key).map(Weighed::value).orElse(null);
  }

  @Override
  public void put(Object key, V value, long bytes) {
    shelf.put(key, new Weighed<>(value, bytes));
  }
}

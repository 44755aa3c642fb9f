package org.nineveils.stack;

/** Tells a running render that its result is no longer wanted. */
@FunctionalInterface
public interface Cancel {
  /** Never cancels. */
  Cancel NEVER = () -> false;

  boolean isCancelled();
}

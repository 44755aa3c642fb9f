package org.nineveils.fact;

import java.util.OptionalDouble;

/** One number that a plain photo shows. */
public interface Fact {
  /** Name in files; never changed once released. */
  String id();

  /** Name on screens. */
  String label();

  /** What it counts. */
  String unit();

  /** Takes it; empty where it is not there. */
  OptionalDouble of(Ground ground);
}

package org.nineveils.proof.measure;

import java.util.Locale;

/** One number of a proof. A measure is one file and one line in {@link Measures}. */
public interface Measure {
  /** Which way is bad. */
  enum Bad {
    /** More than the limit; 0 is untouched. */
    MORE,
    /** Less than the limit; 100 is untouched. */
    LESS
  }

  /** Name in files; never changed once released. */
  String id();

  /** Name on screens. */
  String label();

  /** The same in the few letters that there are at the foot of a picture. */
  default String word() {
    return label().toLowerCase(Locale.ROOT);
  }

  /** What it counts. */
  String unit();

  /** Region that it looks at; empty for the whole picture. */
  default String region() {
    return "";
  }

  default Bad bad() {
    return Bad.MORE;
  }

  /**
   * Bound that a kit begins with, in the unit; chosen on the test photos unless a source is named.
   */
  double limit();

  /** Takes the measure. */
  Reading of(Pair pair);
}

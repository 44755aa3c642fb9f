package org.nineveils.app.base.undo;

/**
 * The name that a page gave to the request which this thread answers. A page whose request was not
 * answered asks again under the same name, and what was done before is not done twice.
 */
public final class Asked {
  /** Longest name that is taken. */
  public static final int LONGEST = 80;

  private static final ThreadLocal<String> NAME = ThreadLocal.withInitial(() -> "");

  private Asked() {}

  /** The name; empty where there is none. */
  public static String name() {
    return NAME.get();
  }

  /** Answers a request of that name from now on. */
  public static void begin(String name) {
    NAME.set(name);
  }

  /** The request was answered. */
  public static void end() {
    NAME.remove();
  }
}

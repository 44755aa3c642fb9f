package org.nineveils.stack;

/** Thrown by a render whose result is no longer wanted. */
public class Cancelled extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Cancelled() {
    super("The picture is no longer wanted.", null, false, false);
  }
}

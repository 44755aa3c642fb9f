package org.nineveils.app.base.start;

/** Why the application does not start; the message is a sentence that says what to do. */
public final class CannotStart extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public CannotStart(String sentence) {
    super(sentence);
  }

  public CannotStart(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}

package org.nineveils.release;

/** A release file that cannot be opened; the message is a sentence naming what and where. */
public class ReleaseException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public ReleaseException(String sentence) {
    super(sentence);
  }

  public ReleaseException(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}

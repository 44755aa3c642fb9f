package org.nineveils.app.base.fault;

/** Something that is not there (any more); the message is a sentence. */
public class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NotFound(String sentence) {
    super(sentence);
  }
}

package org.nineveils.document;

/** A document that cannot be taken; the message is a sentence naming the place and the fault. */
public class DocumentException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public DocumentException(String sentence) {
    super(sentence);
  }

  public DocumentException(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}

package org.nineveils.file;

/** A picture file that cannot be read or written; the message is a sentence for the user. */
public class PictureException extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public PictureException(String sentence) {
    super(sentence);
  }

  public PictureException(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}

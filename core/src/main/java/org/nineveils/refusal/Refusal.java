package org.nineveils.refusal;

/**
 * A value that a rule does not take. The message is a sentence for the user that names the value
 * and the rule; any other IllegalArgumentException is a fault of ours and never shown.
 */
public class Refusal extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  public Refusal(String sentence) {
    super(sentence);
  }
}

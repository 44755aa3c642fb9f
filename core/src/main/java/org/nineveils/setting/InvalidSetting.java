package org.nineveils.setting;

import org.nineveils.refusal.Refusal;

/** A value that a setting does not take; the message is a sentence naming setting and value. */
public class InvalidSetting extends Refusal {
  private static final long serialVersionUID = 1L;

  public InvalidSetting(String sentence) {
    super(sentence);
  }
}

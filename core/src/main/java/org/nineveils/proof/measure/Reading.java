package org.nineveils.proof.measure;

/**
 * What a measure says of a proof.
 *
 * @param value in the measure's unit; without meaning where it was not judged
 * @param why it was not judged, in words that follow “not judged:”; empty where it was
 */
public record Reading(double value, String why) {
  /** A number. */
  public static Reading of(double value) {
    return new Reading(value, "");
  }

  /** No number, since it would mean nothing here. */
  public static Reading not(String why) {
    return new Reading(0, why);
  }

  /** Whether there is a number. */
  public boolean isJudged() {
    return why.isEmpty();
  }
}

package org.nineveils.app.undo;

import java.util.List;

/**
 * Something stands in the way of taking an edit back, or is asked first. Nothing was changed. The
 * message is a sentence; the offers say what can be done about it.
 */
public final class Obstacle extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final transient List<Offer> offers;

  /**
   * Something to do about it.
   *
   * @param label of the button
   * @param query what is added to the request: “first=12”, “rename=true”, “sure=true”, “pass=true”
   */
  public record Offer(String label, String query) {}

  /** Says what stands in the way, and what can be done about it. */
  public Obstacle(String sentence, List<Offer> offers) {
    super(sentence);
    this.offers = List.copyOf(offers);
  }

  public List<Offer> offers() {
    return offers;
  }
}

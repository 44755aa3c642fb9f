package org.nineveils.app.base.undo;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.Collectors;

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
   * @param query what is added to the request: “first=12”, “first=9,12”, “rename=true”,
   *     “sure=true”, “pass=true”
   */
  public record Offer(String label, String query) {
    private static final String FIRST = "first=";

    static Offer first(String label, long edit) {
      return new Offer(label, FIRST + edit);
    }

    private OptionalLong first() {
      return query.startsWith(FIRST)
          ? OptionalLong.of(Long.parseLong(query.substring(FIRST.length())))
          : OptionalLong.empty();
    }

    private Offer before(List<Long> firsts, int place) {
      List<Long> all = new ArrayList<>(firsts);
      all.add(place, first().getAsLong());
      return new Offer(
          label, FIRST + all.stream().map(String::valueOf).collect(Collectors.joining(",")));
    }
  }

  /** Says what stands in the way, and what can be done about it. */
  public Obstacle(String sentence, List<Offer> offers) {
    super(sentence);
    this.offers = List.copyOf(offers);
  }

  public List<Offer> offers() {
    return offers;
  }

  /**
   * The same among other edits that are replayed first: what is offered to go first goes at its
   * place among them, and is not offered where it was tried already.
   *
   * @param firsts ids of those edits
   * @param place of the one that met this, {@code firsts.size()} for the edit itself
   */
  Obstacle among(List<Long> firsts, int place) {
    List<Offer> known =
        offers.stream()
            .filter(o -> o.first().isEmpty() || !firsts.contains(o.first().getAsLong()))
            .map(o -> o.first().isEmpty() ? o : o.before(firsts, place))
            .toList();
    return new Obstacle(getMessage(), known);
  }
}

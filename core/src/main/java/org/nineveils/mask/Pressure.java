package org.nineveils.mask;

import java.util.List;
import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;

/**
 * How hard a pen was pressed along a stroke.
 *
 * @param along 0…1 at each point of the stroke, between them by straight lines; empty where no pen
 *     was there or nothing moves by it
 * @param moves what it moves
 */
public record Pressure(List<Double> along, Moves moves) {
  /** What pressure moves. */
  public enum Moves {
    /** The brush is as large as it is pressed. */
    SIZE("size"),
    /** It lays down as much as it is pressed. */
    FLOW("flow");

    private final String id;

    Moves(String id) {
      this.id = id;
    }

    /** Name in files. */
    public String id() {
      return id;
    }

    /**
     * What goes by that name.
     *
     * @throws Refusal with a sentence if nothing does
     */
    public static Moves ofId(String id) {
      return Ids.find(values(), Moves::id, id)
          .orElseThrow(() -> new Refusal("Pressure moves size or flow, not “%s”.".formatted(id)));
    }
  }

  /** Pressed alike everywhere. */
  public static final Pressure NONE = new Pressure(List.of(), Moves.SIZE);

  public Pressure {
    along = Numbers.of(along);
    for (double p : along) {
      if (!(p >= 0 && p <= 1)) {
        throw new Refusal("Pressure must be between 0 and 1, but was %s.".formatted(p));
      }
    }
  }

  /** At a point of the stroke by its number. */
  double at(int point) {
    return along.isEmpty() ? 1 : ((Numbers) along).at(point);
  }

  double size(double pressed) {
    return moves == Moves.SIZE ? pressed : 1;
  }

  double flow(double pressed) {
    return moves == Moves.FLOW ? pressed : 1;
  }
}

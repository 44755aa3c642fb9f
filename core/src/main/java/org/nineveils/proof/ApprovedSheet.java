package org.nineveils.proof;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.proof.measure.Samples;

/**
 * A proof sheet as it was approved.
 *
 * @param edition of the engine that it was rendered with
 * @param cells by effect and photo
 */
public record ApprovedSheet(int edition, Map<Place, Cell> cells) {
  /** Mean ΔE00, over the picture or over one of its regions, from which a cell has moved. */
  public static final double MOVED = 0.5;

  public ApprovedSheet {
    cells = new LinkedHashMap<>(cells);
  }

  /** An effect on a photo, by the ids that they have. */
  public record Place(long effect, long photo) {}

  /**
   * What was approved.
   *
   * @param picture SHA-256 of the small picture
   */
  public record Cell(
      String effectName, String photoName, String picture, Readings readings, Samples colours) {}

  /**
   * How far a cell has moved.
   *
   * @param by mean ΔE00 where it moved farthest: over the picture, or over one region
   * @param where that region; empty for the whole picture
   */
  public record Move(double by, String where) {
    /** Whether it is worth a look. */
    public boolean isMoved() {
      return by > MOVED;
    }
  }

  /** How far colours have moved. */
  public static Move move(Samples before, Samples now) {
    Set<String> names = new LinkedHashSet<>(before.groups().keySet());
    names.retainAll(now.groups().keySet());
    Move farthest = new Move(0, "");
    for (String name : names) {
      double by = now.difference(before, name.isEmpty() ? Set.of() : Set.of(name));
      if (by > farthest.by()) {
        farthest = new Move(by, name);
      }
    }
    return farthest;
  }

  /** The same sheet with some cells as they are now; those that are new to it come in. */
  public ApprovedSheet with(Map<Place, Cell> now) {
    Map<Place, Cell> next = new LinkedHashMap<>(cells);
    next.putAll(now);
    return new ApprovedSheet(edition, next);
  }

  /** Pictures that it needs. */
  public List<String> pictures() {
    return new ArrayList<>(
        new LinkedHashSet<>(cells.values().stream().map(Cell::picture).toList()));
  }
}

package org.nineveils.mask;

import org.nineveils.filter.Field;
import org.nineveils.filter.Gaussian;
import org.nineveils.filter.Level;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Spread;
import org.nineveils.picture.Area;

/**
 * What is done to the edge of a finished mask: moved outwards (each place takes the highest value
 * within the distance) or inwards (the lowest), then blurred. Distances are shares of the long
 * side, so the mask has the same edge at every size. Moving is worked out on a grid of a third of
 * the distance or finer.
 */
public final class MaskEdge {
  private static final double CELLS = 3;

  private final Area picture;
  private final double grow;
  private final Level level;
  private final Gaussian gaussian;

  private MaskEdge(double grow, double soften, Area picture) {
    this.picture = picture;
    this.grow = grow;
    this.level = grow == 0 ? null : Level.spanning(Math.abs(grow), CELLS, picture);
    this.gaussian = soften < 0.3 ? null : new Gaussian(soften, picture);
  }

  /** The edge that a mask asks for. */
  public static MaskEdge of(Mask mask, Area picture) {
    double perMille = Math.max(picture.width(), picture.height()) / 1000.0;
    return new MaskEdge(mask.grow() * perMille, mask.soften() * perMille, picture);
  }

  boolean changesNothing() {
    return level == null && gaussian == null;
  }

  /** What of the mask must be known to shape an area; also what a change of that area touches. */
  public Area needs(Area area) {
    Area soft = gaussian == null ? area : area.around(gaussian.reach(), gaussian.grid(), picture);
    return level == null ? soft : soft.around(level.reach(radius()), level.factor(), picture);
  }

  private int radius() {
    return (int) Math.ceil(Math.abs(grow) / level.factor());
  }

  /**
   * Shapes a mask.
   *
   * @param raw holds what {@link #needs} asks for
   */
  Coverage shape(Coverage raw, Area area) {
    Plane now = new Plane(raw.area(), raw.values());
    if (level != null) {
      Area moved =
          gaussian == null ? area : area.around(gaussian.reach(), gaussian.grid(), picture);
      now = values(Spread.of(level, now, grow, moved), moved);
    }
    if (gaussian != null) {
      now = values(gaussian.blur(gaussian.reduce(now, area), area), area);
    }
    return new Coverage(area, now.values());
  }

  /** Beyond the middles of the outermost cells, a straight line may leave 0…1 on either side. */
  private static Plane values(Field field, Area area) {
    float[] out = field.values(area);
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.min(1f, Math.max(0f, out[i]));
    }
    return new Plane(area, out);
  }
}

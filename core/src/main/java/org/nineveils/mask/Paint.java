package org.nineveils.mask;

import java.util.ArrayList;
import java.util.List;

/**
 * What was brushed on one photo for one veil: strokes in the order of painting.
 *
 * @param strokes 0…{@link #MAX_STROKES}
 */
public record Paint(List<Stroke> strokes) {
  /** Most strokes on a veil. */
  public static final int MAX_STROKES = 2000;

  /** Nothing painted. */
  public static final Paint NONE = new Paint(List.of());

  public Paint {
    strokes = List.copyOf(strokes);
    if (strokes.size() > MAX_STROKES) {
      throw new IllegalArgumentException("A veil takes at most %d strokes.".formatted(MAX_STROKES));
    }
  }

  /** This paint with one more stroke on top. */
  public Paint plus(Stroke stroke) {
    List<Stroke> more = new ArrayList<>(strokes);
    more.add(stroke);
    return new Paint(more);
  }

  public boolean isEmpty() {
    return strokes.isEmpty();
  }
}

package org.nineveils.mask;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.nineveils.refusal.Refusal;

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

  /** Two passes of the widest brush, one above the other, reach every point of any photo. */
  private static final List<Double> FILL_WAY = List.of(0.0, 0.25, 1.0, 0.25, 1.0, 0.75, 0.0, 0.75);

  public Paint {
    strokes = List.copyOf(strokes);
    if (strokes.size() > MAX_STROKES) {
      throw new Refusal(
          String.format(Locale.ROOT, "A veil takes at most %d strokes.", MAX_STROKES));
    }
  }

  /** This paint with one more stroke on top. */
  public Paint plus(Stroke stroke) {
    List<Stroke> more = new ArrayList<>(strokes);
    more.add(stroke);
    return new Paint(more);
  }

  /** All of the photo shown or hidden, whatever was painted before. */
  public static Paint filled(boolean reveal) {
    return new Paint(List.of(fill(reveal)));
  }

  private static Stroke fill(boolean reveal) {
    return new Stroke(FILL_WAY, Stroke.MAX_SIZE, 0, 1, 1, reveal);
  }

  /**
   * What is done to all the paint of a veil at once.
   *
   * @param how fill: all is shown; invert: turned round; clear: nothing is painted
   * @param shown whether the veil covers everything before anything is painted
   * @throws Refusal with a sentence if it is none of these
   */
  public Paint all(String how, boolean shown) {
    return switch (how) {
      case "fill" -> filled(true);
      case "invert" -> inverted(shown);
      case "clear" -> NONE;
      default ->
          throw new Refusal("Paint is filled, inverted or cleared, not “%s”.".formatted(how));
    };
  }

  /**
   * Paint that covers where this one does not: every stroke turned round, over the opposite of what
   * was there before the first one. Exact, since a stroke moves the coverage c to c + (t − c) · α,
   * which for 1 − c is the stroke towards 1 − t. Turned round twice, it is as it was.
   *
   * @param shown whether the veil covers everything before anything is painted
   */
  public Paint inverted(boolean shown) {
    Stroke start = fill(!shown);
    boolean turned = !strokes.isEmpty() && strokes.get(0).equals(start);
    List<Stroke> out = new ArrayList<>();
    if (!turned) {
      out.add(start);
    }
    for (Stroke s : turned ? strokes.subList(1, strokes.size()) : strokes) {
      out.add(s.turned());
    }
    return new Paint(out);
  }

  public boolean isEmpty() {
    return strokes.isEmpty();
  }
}
